import type { Id } from '../id.ts';
import { newPart } from './new-part.ts';
import type { Part, PartKind } from './parts.ts';
import { type PageStarterKey, pageStarterNames, type StarterKey, starterNames } from './starter-names.ts';

/** One part of a starter: what kind it is, and what its maker is asked for there. */
interface StarterPart {
  kind: PartKind;
  prompt: string;
  /** It stands beside the part before it. */
  beside?: true;
  /** Of a reflection: the questions it begins with. */
  questions?: readonly string[];
}

/** An outline to begin a page with. Nothing of it is shown to readers: its parts are empty until filled in. */
export interface Starter {
  name: string;
  /** What it is meant for. */
  about: string;
  parts: readonly StarterPart[];
}

const credits: StarterPart = { kind: 'credits', prompt: 'Whoever’s work you use is named here by itself.' };

export const starters: Record<StarterKey | PageStarterKey, Starter> = {
  object: {
    name: starterNames.object,
    about: 'Something made by hand or machine: furniture, clothing, a device, a model.',
    parts: [
      { kind: 'words', prompt: 'Who needed it, and what was wrong with what there was?' },
      {
        kind: 'gallery',
        prompt:
          'Four to eight pictures of the finished thing: whole, in use, and one detail you are proud of.',
      },
      { kind: 'words', prompt: 'The first idea: what did you think it would be, and what did you sketch?' },
      { kind: 'compare', prompt: 'The first attempt and the last one, from the same side.' },
      { kind: 'picture', prompt: 'The moment it went wrong, or the test that decided something.' },
      { kind: 'words', beside: true, prompt: 'What happened here, and what did you change because of it?' },
      { kind: 'evidence', prompt: 'A drawing, a test or a joint that proves a skill.' },
      {
        kind: 'reflection',
        prompt: 'Looking back at it now.',
        questions: ['What would you do differently next time?', 'What did it teach you?'],
      },
      credits,
    ],
  },
  event: {
    name: starterNames.event,
    about: 'Something that happened: a show, a workshop, a market, a campaign.',
    parts: [
      { kind: 'words', prompt: 'What was it, for whom, and what was your part in it?' },
      { kind: 'picture', prompt: 'The one picture that shows what it felt like to be there.' },
      { kind: 'words', prompt: 'How was it prepared? Name the two or three decisions that shaped it.' },
      { kind: 'document', prompt: 'The plan, the programme or the poster.' },
      { kind: 'gallery', prompt: 'Before, during and after, in that order.' },
      { kind: 'quote', prompt: 'What somebody who came said about it.' },
      { kind: 'evidence', prompt: 'Something that shows it worked: numbers, a letter, a full room.' },
      {
        kind: 'reflection',
        prompt: 'Looking back at it now.',
        questions: ['What went well, and why?', 'What comes next?'],
      },
      credits,
    ],
  },
  study: {
    name: starterNames.study,
    about: 'Something found out: research, an essay, a survey, an experiment.',
    parts: [
      { kind: 'words', prompt: 'The question, in one sentence anybody understands. Why does it matter?' },
      { kind: 'words', prompt: 'How did you go about finding out, and what did you leave out on purpose?' },
      { kind: 'picture', prompt: 'The chart, map or photo that shows the most.' },
      { kind: 'words', beside: true, prompt: 'What does it show, and how sure can one be of it?' },
      { kind: 'document', prompt: 'The whole study, to read in place.' },
      { kind: 'evidence', prompt: 'Notes, raw data or a mistake you found: how you work.' },
      { kind: 'link', prompt: 'Something to read on, or the data.' },
      {
        kind: 'reflection',
        prompt: 'Looking back at it now.',
        questions: ['Which decision was the hardest?', 'What comes next?'],
      },
      credits,
    ],
  },
  software: {
    name: starterNames.software,
    about: 'Something that runs: an app, a website, a game, an installation.',
    parts: [
      { kind: 'words', prompt: 'What can somebody do with it that they could not do before?' },
      { kind: 'clip', prompt: 'Half a minute of it in use, with a still that says what it is.' },
      { kind: 'words', prompt: 'How does it work inside? One paragraph for people who do not program.' },
      { kind: 'gallery', prompt: 'Sketches, first screens and the screens as they are, in that order.' },
      { kind: 'evidence', prompt: 'A piece of it that was hard: the problem, your way, what it shows.' },
      { kind: 'quote', prompt: 'What somebody said who tried it.' },
      { kind: 'link', prompt: 'Where it can be tried, or where its code is.' },
      {
        kind: 'reflection',
        prompt: 'Looking back at it now.',
        questions: ['What would you do differently next time?', 'What comes next?'],
      },
      credits,
    ],
  },
  team: {
    name: starterNames.team,
    about: 'Something several people made, where readers must see which part was yours.',
    parts: [
      { kind: 'words', prompt: 'What did the team make, for whom, and what exactly did you do?' },
      {
        kind: 'picture',
        prompt: 'The team at work, or the thing you made together. Ask before you show a face.',
      },
      { kind: 'words', prompt: 'How did you share the work, and how did you decide when you disagreed?' },
      { kind: 'gallery', prompt: 'Pictures of your own part, from the beginning to the end.' },
      { kind: 'evidence', prompt: 'Something only you did: a drawing, a text, a piece of code.' },
      { kind: 'evidence', prompt: 'Something that shows how you work with others.' },
      {
        kind: 'reflection',
        prompt: 'Looking back at it now.',
        questions: ['What did others say, and what did you make of it?', 'What did it teach you?'],
      },
      { ...credits, prompt: 'Everybody whose pictures or words you use is named here by itself.' },
    ],
  },
  services: {
    name: pageStarterNames.services,
    about: 'What somebody can ask you to do, and how to ask.',
    parts: [
      { kind: 'words', prompt: 'What do you do for others, in two sentences, and what do you not do?' },
      { kind: 'table', prompt: 'What it costs or how long it takes, one kind of job a line.' },
      { kind: 'picture', prompt: 'One job of this kind, finished.' },
      { kind: 'quote', prompt: 'What somebody said whom you did it for. Ask before you name them.' },
      { kind: 'contact', prompt: 'How to ask you.' },
    ],
  },
  learning: {
    name: pageStarterNames.learning,
    about: 'What you are in the middle of, with what you make of it so far.',
    parts: [
      { kind: 'words', prompt: 'What are you learning now, and what made you begin?' },
      { kind: 'gallery', prompt: 'Tries and exercises, in the order in which you made them.' },
      { kind: 'evidence', prompt: 'One try that shows a step forward.' },
      { kind: 'link', prompt: 'A book, a course or a person you learn from.' },
      {
        kind: 'reflection',
        prompt: 'Where you are now.',
        questions: ['What can you do now that you could not a month ago?', 'What is still hard?'],
      },
    ],
  },
  thanks: {
    name: pageStarterNames.thanks,
    about: 'Who helped, and with what.',
    parts: [
      { kind: 'words', prompt: 'Who helped you, and with what? Ask before you name them in full.' },
      { kind: 'picture', prompt: 'The people or the place, if they agree.' },
      credits,
    ],
  },
  letter: {
    name: pageStarterNames.letter,
    about: 'A letter to whoever reads the whole: what this work says of you.',
    parts: [
      { kind: 'words', prompt: 'To whom do you write, and what will they find here?' },
      {
        kind: 'reflection',
        prompt: 'The work, looked back on.',
        questions: [
          'Which piece are you proudest of, and why?',
          'Which one taught you most, perhaps by failing?',
          'What do you want to be able to do next?',
        ],
      },
      { kind: 'evidence', prompt: 'The piece that proves what the letter says.' },
      { kind: 'words', prompt: 'How would you like to be met by who reads this?' },
    ],
  },
};

/** The parts of a starter, empty but for what its maker is asked for. */
export function partsOfStarter(key: StarterKey | PageStarterKey, newId: () => Id): Part[] {
  const parts: Part[] = [];
  for (const { kind, prompt, beside, questions = [] } of starters[key].parts) {
    const last = parts.at(-1);
    const part: Part = {
      ...newPart(kind, newId()),
      prompt,
      ...(beside && last ? { beside: { with: last.id, share: 0.5 } } : {}),
    };
    parts.push(
      part.kind === 'reflection'
        ? { ...part, answers: questions.map((question) => ({ id: newId(), question, text: '' })) }
        : part,
    );
  }
  return parts;
}
