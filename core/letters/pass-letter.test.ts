import { describe, expect, test } from '@jest/globals';
import { passLetter } from './pass-letter.ts';

const facts = {
  maker: { name: 'Wren', email: 'wren@maker.example' },
  site: 'Wren makes',
  url: 'https://wall.example/p/AAAAAAAAAAAAAAAAAAAAAA/',
  opensAt: null,
  closesAt: null,
  timeZone: 'Europe/Berlin',
  hasPassword: false,
  note: '',
  closing: false,
};

describe('the mail of a pass', () => {
  test('has the link on a line of its own, and says nothing of hours or a password there are not', () => {
    const { subject, text } = passLetter(facts);
    expect(subject).toBe('Wren sends you Wren makes');
    expect(passLetter({ ...facts, site: 'Wren' }).subject).toBe('Wren sends you a site');
    expect(text.split('\n')).toContain(facts.url);
    expect(text).not.toMatch(/opens on|closes|password/);
    expect(text).not.toContain('\n\n\n');
  });

  test('says when it opens and closes by the clocks of its maker, and that a password comes another way', () => {
    // Berlin is at UTC+1 in winter and UTC+2 in summer (IANA time zone database).
    const { text } = passLetter({
      ...facts,
      opensAt: new Date('2026-12-04T19:00:00Z'),
      closesAt: new Date('2027-06-30T21:59:00Z'),
      hasPassword: true,
      note: '  The clock is on the second page. ',
    });
    expect(text).toContain('It opens on Fri 4 Dec 2026, 20:00 (Europe/Berlin).');
    expect(text).toContain('It closes on Wed 30 Jun 2027, 23:59 (Europe/Berlin).');
    expect(text).toContain('which Wren tells you in another way');
    expect(text).toContain('\n\nThe clock is on the second page.\n\n');
  });

  test('says later that it closes soon', () => {
    const { subject, text } = passLetter({
      ...facts,
      closesAt: new Date('2026-12-04T19:00:00Z'),
      closing: true,
    });
    expect(subject).toBe('Wren makes closes soon');
    expect(text).toContain('is still open to you');
  });
});
