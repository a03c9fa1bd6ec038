import { availableParallelism } from 'node:os';
import { Piscina } from 'piscina';
import { type Profile, type Trial } from '@sorn/core/model';
import {
  builtInTrials,
  joinedResults,
  trialReport,
  variationsOf,
  type TrialOptions,
  type TrialReport,
  type TrialResult,
} from '@sorn/core/simulate';
import { html, nearestName } from '@sorn/core/values';
import { BadInput, readSections, readProfileOn } from './input.ts';
import runTries, { type TryJob } from './try-worker.ts';

const FORMS = ['text', 'json', 'junit'] as const;
type Form = (typeof FORMS)[number];
export interface TryOptions {
  orders?: string;
  seed?: string;
  as?: string;
  trials?: string;
  machine?: string;
}
/** What trials came to, printed, and whether all of them held. */
export interface Tried {
  text: string;
  hasHeld: boolean;
}

/** So many tries are done without another thread: they take less time than it takes to begin. */
const FEW = 200;
const WORKER = new URL('./try-worker.js', import.meta.url).href;
/** How many tries a thread is given at once. */
const AT_ONCE = 250;

/** `sorn try PROFILE [NAMES]`: the trials of a profile, those that every profile has, and those of a file beside it. */
export async function tryFile(
  profileFile: string,
  names: readonly string[],
  { orders, seed, as = 'text', trials: beside, machine }: TryOptions = {},
): Promise<Tried> {
  const form = FORMS.find((each) => each === as);
  if (!form) throw new BadInput([`--as: ${as}; expected one of ${FORMS.join(', ')}`]);
  const options: TrialOptions = {
    ...wholeNumber('orders', orders, 1),
    ...wholeNumber('seed', seed, 0),
  };
  const profile = readProfileOn(profileFile, machine);
  const further = beside === undefined ? [] : readSections(beside, profile).profile.trials;
  const all = [...profile.trials, ...further].filter(({ on }) => on);
  const chosen = named([...all, ...builtInTrials(profile)], names);
  const reports: TrialReport[] = [];
  const pool = new Piscina<TryJob, TrialResult>({
    filename: WORKER,
    minThreads: 0,
    maxThreads: Math.max(2, availableParallelism()),
  });
  try {
    for (const trial of chosen) {
      const result = await triedIn(pool, profile, trial, options);
      reports.push(trialReport(profile, trial, result, options));
    }
  } finally {
    await pool.destroy();
  }
  return {
    text: WRITTEN[form](profile, reports),
    hasHeld: reports.every(({ failure }) => failure === null),
  };
}

function wholeNumber(name: 'orders' | 'seed', text: string | undefined, least: number) {
  if (text === undefined) return {};
  const number = Number(text);
  if (/^\d{1,9}$/.test(text) && number >= least) return { [name]: number };
  throw new BadInput([`--${name}: ${text}; expected a whole number from ${least} to 999999999`]);
}

function named(trials: readonly Trial[], names: readonly string[]): readonly Trial[] {
  if (names.length === 0) return trials;
  const known = trials.flatMap(({ id, name }) => (name === undefined ? [id] : [id, name]));
  const unknown = names.filter((name) => !known.includes(name));
  if (unknown.length > 0)
    throw new BadInput(
      unknown.map((name) => {
        const nearest = nearestName(name, known);
        const which = nearest ? `the nearest is ${nearest}` : `one of ${known.join(', ')}`;
        return `no trial is called ${name}; expected ${which}`;
      }),
    );
  return trials.filter(({ id, name }) => names.includes(id) || (name && names.includes(name)));
}

async function triedIn(
  pool: Piscina<TryJob, TrialResult>,
  profile: Profile,
  trial: Trial,
  options: TrialOptions,
): Promise<TrialResult> {
  const { count } = variationsOf(profile, trial, options);
  const job = { profile, trial, options };
  if (count <= FEW) return runTries({ ...job, from: 0, to: count });
  const starts = Array.from({ length: Math.ceil(count / AT_ONCE) }, (_, i) => i * AT_ONCE);
  return joinedResults(
    trial,
    await Promise.all(starts.map((from) => pool.run({ ...job, from, to: from + AT_ONCE }))),
  );
}

const WRITTEN: Record<Form, (profile: Profile, reports: readonly TrialReport[]) => string> = {
  text: (_, reports) => textOf(reports),
  json: (_, reports) => `${JSON.stringify({ trials: reports.map(withoutSubject) }, null, 2)}\n`,
  junit: junitOf,
};

const trialsText = (count: number) => (count === 1 ? 'trial' : 'trials');

function textOf(reports: readonly TrialReport[]): string {
  const lines = reports.flatMap(({ name, tries, held, failure }) => {
    const counts = tries === 1 ? '' : ` (${held} of ${tries} tries)`;
    return [`${failure ? 'failed' : 'held  '}  ${name}${counts}`, ...failureLines(failure)];
  });
  const held = reports.filter(({ failure }) => failure === null).length;
  const sum = `${held} of ${reports.length} ${trialsText(reports.length)} held.`;
  return `${[...lines, sum].join('\n')}\n`;
}

function failureLines(failure: TrialReport['failure']): string[] {
  if (!failure) return [];
  const { expected, found, steps, desk, orders, fixes } = failure;
  return [
    `        expected: ${expected}`,
    `        found:    ${found}`,
    ...(desk === null ? [] : [`        on desk:  ${desk}`]),
    ...steps.map((step, i) => `        ${i === 0 ? 'after:   ' : '         '} ${step}`),
    ...orders.map((order) => `        ${order}`),
    ...fixes.map(
      ({ says, held, tries }) => `        quick fix: ${says} Then ${held} of ${tries} tries hold.`,
    ),
  ];
}

/** What a program needs of a report. */
function withoutSubject({ failure, ...report }: TrialReport) {
  if (!failure) return { ...report, failure };
  const { shortest: _desk, failure: _first, fixes, ...told } = failure;
  const tried = fixes.map(({ profile: _mended, ...fix }) => fix);
  return { ...report, failure: { ...told, fixes: tried } };
}

/** Results as continuous integration reads them: JUnit XML, a test case for each trial. */
function junitOf({ name }: Profile, reports: readonly TrialReport[]): string {
  const failures = reports.filter(({ failure }) => failure !== null).length;
  const counts = `tests="${reports.length}" failures="${failures}"`;
  const cases = reports.flatMap(({ name: trial, failure }) => {
    const begin = `    <testcase classname="${html(name)}" name="${html(trial)}"`;
    if (!failure) return [`${begin}/>`];
    const message = `${failure.expected}: ${failure.found}`;
    return [
      `${begin}>`,
      `      <failure message="${html(message)}">${html(failureLines(failure).join('\n'))}</failure>`,
      '    </testcase>',
    ];
  });
  return [
    '<?xml version="1.0" encoding="UTF-8"?>',
    `<testsuites name="sorn try" ${counts}>`,
    `  <testsuite name="${html(name)}" ${counts}>`,
    ...cases,
    '  </testsuite>',
    '</testsuites>',
    '',
  ].join('\n');
}
