import { expect, test } from '@playwright/test';
import { newGroup, newPerson } from '#core/people';
import { compileTimeline } from '#core/timeline';
import { builtInLibrary } from '#library';
import { newPlan, openPlan, rows } from './support';

test('how easy a breath was is noted in the review, and counts towards the next ratio for the group and each person', async ({
  page,
  request,
}) => {
  const mark = Date.now().toString(36);
  const [ada, ben, group] = [`ada-${mark}`, `ben-${mark}`, `group-${mark}`];
  for (const [id, name] of [
    [ada, `Ada Easy ${mark}`],
    [ben, `Ben Effort ${mark}`],
  ] as const)
    await request.post('/api/v1/people', { data: { id, document: newPerson(name) } });
  const members = [ada, ben];
  await request.post('/api/v1/groups', {
    data: { id: group, document: { ...newGroup(`Evening ${mark}`), members } },
  });
  const plan = await newPlan(request, 'breath', { title: `Easy ${mark}`, group: `Evening ${mark}`, groupId: group });
  // In steps of this plan: an out-breath that grows from 1:0:1, alternate nostrils at 1:1:2, a throat breath at 1:0:2.
  const run = `run-${mark}`;
  await request.post('/api/v1/runs', { data: { id: run, planId: plan.id, planRevision: 1 } });
  const startMs = Date.now() - 7_200_000;
  const { totalMs } = compileTimeline(plan.document, builtInLibrary).totals;
  const events = [
    { id: `event-a-${mark}`, atMs: startMs, kind: 'started' },
    { id: `event-b-${mark}`, atMs: startMs, kind: 'present', people: members, others: 2 },
    { id: `event-c-${mark}`, atMs: startMs + totalMs, kind: 'ended' },
  ];
  await request.post(`/api/v1/runs/${run}/events`, { data: { events } });

  await page.goto(`/history/${run}?view=close`);
  const growing = page.getByRole('group', { name: 'Out-breath from 4 to 10' });
  await expect(growing.getByText('retention')).toBeHidden();
  await growing.getByRole('radio', { name: 'easy', exact: true }).check({ force: true });
  await growing.getByRole('group', { name: 'For whom Out-breath' }).getByRole('button', { name: /^B/ }).click();
  const nostrils = page.getByRole('group', { name: 'Alternate nostrils' });
  await nostrils.getByRole('radio', { name: 'an effort', exact: true }).last().check({ force: true });
  await page.reload();
  await expect(growing.getByRole('radio', { name: 'easy', exact: true })).toBeChecked();

  await page.goto(`/people/groups/${group}`);
  const ratios = page.getByRole('region', { name: 'Breath ratios' });
  const rowOf = (ratio: string) => ratios.getByRole('row', { name: new RegExp(`^${ratio} `) });
  await expect(rowOf('1 : 0 : 1')).toContainText('from the start');
  await expect(rowOf('2 : 0 : 3')).toContainText('after 3 easy sessions at 1 : 0 : 1; 1 so far');
  await expect(rowOf('1 : 1 : 2')).toContainText('not yet');

  await openPlan(page, plan.id);
  await rows(page).filter({ hasText: 'Alternate nostrils' }).click();
  const check = page.getByRole('list', { name: 'Please check' });
  await expect(check).toContainText('1 : 1 : 2 comes after 7 easy sessions at 4 : 2 : 8; this group has had 0.');
});
