/** How what is added to a page of a draft looks, in the colours and letters of its site. Only those who look for its maker fetch it. */
export const secondLookStyle = `
.look-mark { position: sticky; top: 0; z-index: 9; display: flex; flex-wrap: wrap; gap: .2rem 1.2rem; justify-content: center; padding: .55rem 1rem; background: #fdf0c8; color: #3a2c05; font: 500 .9rem/1.4 system-ui, sans-serif; overflow-wrap: anywhere; }
.look-mark p { margin: 0; max-width: 46rem; }
@media (max-width: 42rem) { .look-mark { position: static; justify-content: start; } }
.look-mark a { color: inherit; text-decoration: underline; text-underline-offset: .2em; }
.look-mark a:focus-visible { outline: 3px solid #3a2c05; outline-offset: 2px; }
.look { margin-block: 4rem 3rem; scroll-margin-top: 4rem; }
.look h2 { margin-block-end: .8em; overflow-wrap: anywhere; }
.look form { display: grid; gap: 1.4rem; max-width: var(--measure); }
.look :is(p, label, legend, select, textarea, button, .look-at) { font: 400 var(--t-1)/1.42 var(--font-meta); }
.look p { margin: 0; }
.look .look-why { color: var(--ink-2); }
.look .look-kept { padding-inline-start: .8em; border-inline-start: 3px solid var(--accent); color: var(--ink); }
.look .look-fault { padding-inline-start: .8em; border-inline-start: 3px solid currentColor; color: var(--ink); font-weight: 600; }
.look ol { display: grid; margin: 0; padding: 0; list-style: none; border-top: 1px solid var(--line); }
.look fieldset { display: flex; flex-wrap: wrap; gap: .5rem 1.5rem; align-items: baseline; min-width: 0; margin: 0; padding: .8rem 0; border: 0; border-bottom: 1px solid var(--line); }
.look legend { float: inline-start; flex: 1 1 16rem; padding: 0; margin: 0; color: var(--ink); font-weight: 500; overflow-wrap: anywhere; }
.look-says { display: flex; gap: 1.2rem; margin-block: -.3rem; }
.look .look-says label { display: inline-flex; gap: .45em; align-items: center; min-height: 2rem; color: var(--ink); }
.look input[type=radio] { width: 1.15rem; height: 1.15rem; margin: 0; accent-color: var(--ink); }
.look-asks { flex: 1 0 100%; display: grid; gap: .7rem; }
@supports selector(:has(*)) { .look fieldset:not(:has([value=unsure]:checked)) .look-asks { display: none; } }
.look-asks label { display: grid; gap: .3rem; color: var(--ink-2); }
.look :is(textarea, select) { width: 100%; min-height: 2.75rem; padding: .5em .7em; color: var(--ink); background: var(--paper); border: 1px solid var(--line-2); border-radius: 0; }
.look :is(input, textarea, select, button):focus-visible { outline: 3px solid var(--focus, var(--accent)); outline-offset: 2px; }
.look button { justify-self: start; min-height: 2.75rem; padding: .5em 1.4em; color: var(--paper); background: var(--ink); border: 0; cursor: pointer; font-weight: 600; }
@media print { .look, .look-mark { display: none; } }
`;
