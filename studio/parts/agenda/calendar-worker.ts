import { readCalendar } from '#core/plan/read-calendar.ts';

type Asked = [text: string, how: Parameters<typeof readCalendar>[1]];

// A series can be long and a file large: they are read here, so that the screen goes on.
self.onmessage = ({ data: [text, how] }: MessageEvent<Asked>) => {
  try {
    self.postMessage({ read: readCalendar(text, how) });
  } catch (error) {
    self.postMessage({ problem: error instanceof Error ? error.message : 'This calendar cannot be read.' });
  }
};
