// Makes a plan from nothing by the API alone, and prints its timeline.
//   node docs/make-a-plan.mjs [http://127.0.0.1:4780]
const server = process.argv[2] ?? 'http://127.0.0.1:4780';

async function ask(method, path, body) {
  const response = await fetch(`${server}/api/v1${path}`, {
    method,
    headers: { 'content-type': 'application/json' },
    body: body && JSON.stringify(body),
  });
  const answer = await response.json();
  if (!response.ok)
    throw new Error([answer.detail, ...(answer.errors ?? []).map((e) => `${e.field}: ${e.reason}`)].join('\n'));
  return answer;
}

/** What every step has. */
const step = (id, name) => ({
  id,
  name,
  note: '',
  locked: false,
  weight: 'normal',
  pinned: false,
  takesRemaining: false,
  where: null,
});
const pillow = (id) => ({
  id,
  kind: 'pillow',
  state: 'whole',
  lie: 'crosswise',
  place: 'head',
  side: 'centre',
  count: 1,
  mirror: true,
  optional: false,
  why: 'so that the neck stays long',
});
const hold = (id, name, position, sides) => ({
  ...step(id, name),
  kind: 'hold',
  position,
  sides,
  unevenIntended: false,
  breathSeconds: null,
  range: null,
  rangeIsUsual: false,
  demands: null,
  strength: null,
  stages: [],
  setUp: [pillow(`${id}-pillow`)],
  otherSetUp: null,
  setupSeconds: 40,
  enterSeconds: 20,
  leaveSeconds: 20,
  switchSeconds: 15,
  prompts: [],
  breath: null,
  rebound: { kind: 'none' },
  loosen: null,
  waysIn: null,
  waysOut: null,
  leftMeans: null,
});
const plain = (id, name, kind, seconds) => ({ ...step(id, name), kind, seconds });

const document = {
  format: 'zovrin-plan',
  version: 9,
  title: 'Made by a script',
  intent: '',
  approach: 'restorative',
  group: 'Potters',
  groupId: null,
  groupSize: 8,
  place: '',
  cupboard: null,
  where: null,
  rules: null,
  tags: [],
  archived: false,
  startsAt: null,
  classSeconds: 1800,
  steps: [
    plain('arrive', 'Arrive', 'talk', 120),
    hold('side', 'Side-lying rest', 'side-lying', {
      kind: 'each',
      first: 'right',
      length: { kind: 'even', seconds: 300 },
    }),
    { ...plain('rest', 'Final rest', 'rest', 600), setUp: null, otherSetUp: null, setupSeconds: null },
  ],
  orderPairs: [],
};

const { id, revision } = await ask('POST', '/plans', { document });
const { phases, totals } = await ask('POST', '/timeline', { document: (await ask('GET', `/plans/${id}`)).document });
const clock = (ms) => `${Math.floor(ms / 60_000)}:${String(Math.floor(ms / 1000) % 60).padStart(2, '0')}`;
console.log(`Plan ${id}, revision ${revision}, ${clock(totals.totalMs)}`);
for (const { startMs, endMs, kind, side, stepId } of phases) {
  const name = document.steps.find((one) => one.id === stepId).name;
  console.log(
    `${clock(startMs).padStart(6)} to ${clock(endMs).padStart(6)}  ${kind.padEnd(8)} ${name}${side === 'none' ? '' : `, ${side}`}`,
  );
}
