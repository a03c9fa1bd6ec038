import { chartCsv, chartHtml, chartMarkdown, chartSvg } from '@sorn/core/keys';
import { type Profile } from '@sorn/core/model';
import { BadInput, readProfileOn } from './input.ts';

const FORMS: Record<string, (profile: Profile) => string> = {
  markdown: chartMarkdown,
  csv: chartCsv,
  html: (profile) => chartHtml(profile),
};

/** `sorn chart PROFILE`: its key chart, as a drawing in the pixels of a monitor, or as tables. */
export function chartFile(
  profileFile: string,
  options: { as: string; monitor?: string; night?: boolean; machine?: string },
): string {
  const { as, monitor, night = false, machine } = options;
  const profile = readProfileOn(profileFile, machine);
  if (as !== 'svg') {
    const form = FORMS[as];
    if (form) return form(profile);
    const right = [...Object.keys(FORMS), 'svg'].join(', ');
    throw new BadInput([`--as: "${as}"; expected one of ${right}`]);
  }
  const wanted = monitor ?? profile.monitors[0]!.id;
  const found = profile.monitors.find(({ id, name }) => id === wanted || name === wanted);
  if (!found) {
    const ids = profile.monitors.map(({ id }) => id).join(', ');
    throw new BadInput([`--monitor: "${wanted}"; expected one of ${ids}`]);
  }
  return `${chartSvg(profile, found, night ? 'night' : 'day')}\n`;
}
