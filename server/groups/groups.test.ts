import { afterAll, afterEach, beforeAll, expect, test } from '@jest/globals';
import { changeGroup, listGroups, makeGroup, removeGroup, restoreGroup } from '#contract/groups.ts';
import { mostGroups } from '#core/groups/group.ts';
import { TestMaker, TestServer } from '../testing/test-server.ts';

let server: TestServer;
let maker: TestMaker;
beforeAll(async () => {
  server = await TestServer.start();
  maker = await server.maker();
});
afterAll(() => server.stop());
afterEach(() => {
  server.clock.now = () => new Date();
});

const people = [
  { name: 'Juno', more: 'juno@reader.example' },
  { name: 'Odd Marten', more: '' },
];

test('a group keeps names and what stands beside them', async () => {
  const { groups, made } = await maker.call(makeGroup, { body: { name: 'Second year', people } });
  expect(groups).toEqual([
    { id: made, name: 'Second year', people, list: null, revision: 1, classPage: null },
  ]);
});

test('two windows do not write over each other', async () => {
  const { made: group } = await maker.call(makeGroup, { body: { name: 'Circle', people: [] } });
  const change = (seen: number, name: string) =>
    maker.call(changeGroup, { params: { group }, body: { seen, terms: { name, people } } });
  await change(1, 'The circle');
  await expect(change(1, 'My circle')).rejects.toThrow(/changed in another window/);
  const { groups } = await change(2, 'Our circle');
  expect(groups.find(({ id }) => id === group)).toMatchObject({ name: 'Our circle', revision: 3 });
});

test('what was taken away can be had back for 30 days', async () => {
  const { made: group } = await maker.call(makeGroup, { body: { name: 'Old', people } });
  const names = async () => (await maker.call(listGroups)).groups.map(({ name }) => name);
  await maker.call(removeGroup, { params: { group } });
  expect(await names()).not.toContain('Old');
  await expect(maker.call(removeGroup, { params: { group } })).rejects.toMatchObject({ status: 404 });
  await maker.call(restoreGroup, { params: { group } });
  expect(await names()).toContain('Old');
  // Taking another one away later forgets it.
  const { made: other } = await maker.call(makeGroup, { body: { name: 'Other', people: [] } });
  await maker.call(removeGroup, { params: { group } });
  server.clock.now = () => new Date(Date.now() + 31 * 24 * 60 * 60 * 1000);
  await maker.call(removeGroup, { params: { group: other } });
  await expect(maker.call(restoreGroup, { params: { group } })).rejects.toMatchObject({ status: 404 });
});

test('nobody else sees a group, changes it, or takes it away', async () => {
  const { made: group } = await maker.call(makeGroup, { body: { name: 'Mine', people } });
  const other = await server.maker('Ode');
  expect((await other.call(listGroups)).groups).toEqual([]);
  const terms = { name: 'Theirs', people: [] };
  const notHere = { status: 404 };
  await expect(
    other.call(changeGroup, { params: { group }, body: { seen: 1, terms } }),
  ).rejects.toMatchObject(notHere);
  await expect(other.call(removeGroup, { params: { group } })).rejects.toMatchObject(notHere);
  await maker.call(removeGroup, { params: { group } });
  await expect(other.call(restoreGroup, { params: { group } })).rejects.toMatchObject(notHere);
  expect((await new TestMaker(server.app).raw('GET', '/api/groups')).statusCode).toBe(401);
});

test('what is no group is refused with what is wrong', async () => {
  const refused = (body: object) => maker.call(makeGroup, { body: body as never });
  await expect(refused({ name: ' ', people: [] })).rejects.toThrow('Name the group.');
  await expect(refused({ name: 'A', people: [{ name: '', more: '' }] })).rejects.toThrow(/has a name/);
  const crowd = Array.from({ length: 301 }, (_, n) => ({ name: `P${n}`, more: '' }));
  await expect(refused({ name: 'A', people: crowd })).rejects.toThrow(/at most 300 people/);
});

test('an account has only so many', async () => {
  const many = await server.maker('Many');
  for (let n = 0; n < mostGroups; n += 1)
    await many.call(makeGroup, { body: { name: `Group ${n}`, people: [] } });
  await expect(many.call(makeGroup, { body: { name: 'One more', people: [] } })).rejects.toThrow(
    /at most 50 groups/,
  );
});
