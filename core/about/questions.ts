/** What each question asks, by its id (`questionIds`). Each takes a sentence or two. */
export const questions: Readonly<Record<string, string>> = {
  began: 'Where did it start?',
  'works-in': 'What do you work in, and with what?',
  week: 'What else fills your week?',
  next: 'What do you want to be able to do a year from now?',
  noticed: 'What do you do that others notice?',
  check: 'What can somebody check?',
  together: 'What is it like to work beside you?',
  'says-so': 'Who would say so?',
};
