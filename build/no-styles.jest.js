// Style sheets say nothing to a test without a screen.
export default {};
