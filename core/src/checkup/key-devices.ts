import { argumentAskedFor } from '../commands/command.ts';
import { definitionOf } from '../commands/registry.ts';
import type { KeyCommand } from '../commands/registry.ts';
import { deviceName, hasLetters, inputsOf } from '../keys/devices.ts';
import { isPressedWith, type KeyBinding } from '../keys/map.ts';
import type { InputDevice } from '../model/keys.ts';
import type { Profile } from '../model/profile.ts';
import { buttonOf, keyName, type Legends } from '../values/codes.ts';
import { bindingName, finding, keysName, type KeyFinding } from './key-finding.ts';

/** A command after which letters or digits are typed. */
function goesOnTyping(command: KeyCommand | undefined): boolean {
  if (!command) return false;
  return definitionOf(command.command).needsTyping === true || argumentAskedFor(command) !== null;
}

const MOST_NAMED = 6;

function named(codes: readonly string[], legends: Legends | undefined): string {
  const names = codes
    .slice(0, MOST_NAMED)
    .map((code) => keyName(code, legends))
    .join(', ');
  return codes.length > MOST_NAMED ? `${names} and ${codes.length - MOST_NAMED} more` : names;
}

/** Bindings that the devices of a profile cannot send, or cannot finish. */
export function checkDevices(profile: Profile, map: readonly KeyBinding[]): KeyFinding[] {
  const { devices, bundles, layers, legends } = profile.keys;
  const sends = devices.map((device) => ({
    device,
    inputs: new Set(inputsOf(device)),
    letters: hasLetters(device),
  }));
  /** The devices that have an input. */
  const having = new Map<string, typeof sends>();
  const withInput = (code: string) => {
    const known = having.get(code) ?? sends.filter(({ inputs }) => inputs.has(code));
    having.set(code, known);
    return known;
  };
  const codesOf = ({ trigger: { steps } }: KeyBinding): readonly string[] => {
    const [{ code } = {}] = steps;
    return steps.length === 1 && code !== undefined
      ? [code]
      : steps.flatMap((step) => step.code ?? []);
  };
  const absent = map.filter((binding) =>
    codesOf(binding).some((code) => withInput(code).length === 0),
  );
  const held = new Set(layers.filter(({ lasts }) => lasts === 'held').map(({ id }) => id));
  const findings: KeyFinding[] = [...absentKeys(devices, absent, withInput, codesOf, legends)];
  for (const binding of map) {
    const { trigger, command } = binding;
    const at = codesOf(binding).flatMap(withInput);
    if (at.length === 0) continue;
    const name = keysName(profile, binding);
    const only = (is: (device: InputDevice) => boolean) =>
      at.every(({ device }) => is(device)) ? deviceName(at[0]!.device) : null;
    const typeless = at.every(({ letters }) => !letters) ? deviceName(at[0]!.device) : null;
    if (typeless !== null && goesOnTyping(command)) {
      const text = `${name} does ${bindingName(binding)}, which needs typing, and ${typeless} has no letters.`;
      findings.push(finding('needs-letters', [binding], `${name} needs letters`, text, binding));
    }
    const dumb = only(({ modifiers }) => !modifiers);
    if (dumb !== null && trigger.steps.some(({ modifiers }) => modifiers.length > 0)) {
      const text = `${dumb} sends no modifiers: ${bindingName(binding)} is not reached with it alone.`;
      findings.push(
        finding('modifiers-not-sent', [binding], `${name} cannot be sent`, text, binding),
      );
    }
    const single = only(({ atOnce }) => atOnce === 'one');
    const enters = command?.command === 'enter-layer' && held.has(command.layer);
    if (single !== null && enters) {
      const text = `${single} sends one input at a time: nothing can be pressed on it while ${name} is down for ${command.layer}.`;
      findings.push(
        finding('one-at-a-time', [binding], `${name} cannot be kept down`, text, binding),
      );
    }
  }
  for (const { id, hold } of bundles) {
    const at = withInput(hold);
    const [first] = at;
    if (!first || at.some(({ device }) => device.modifiers)) continue;
    const text = `${keyName(hold, legends)} stands for the modifiers of ${id}, and ${deviceName(first.device)} cannot send modifiers.`;
    const about = map.filter((binding) => isPressedWith(binding, id));
    findings.push({
      ...finding('modifiers-not-sent', about, `${id} cannot be sent`, text),
      device: first.device.id,
      layer: id,
    });
  }
  return findings;
}

/** Bindings on keys and buttons that no device has. */
function absentKeys(
  devices: readonly InputDevice[],
  absent: readonly KeyBinding[],
  withInput: (code: string) => readonly unknown[],
  codesOf: (binding: KeyBinding) => readonly string[],
  legends: Legends | undefined,
): KeyFinding[] {
  const missing = [...new Set(absent.flatMap(codesOf))].filter(
    (code) => withInput(code).length === 0,
  );
  const buttons = missing.filter((code) => buttonOf(code) !== null);
  const keys = missing.filter((code) => buttonOf(code) === null);
  const using = (codes: readonly string[]) =>
    absent.filter((binding) => codesOf(binding).some((code) => codes.includes(code)));
  const findings: KeyFinding[] = [];
  const pointing = devices.find(({ buttons: count }) => count !== undefined);
  if (buttons.length > 0) {
    const has = pointing
      ? `${deviceName(pointing)} has ${pointing.buttons}`
      : 'no device has buttons';
    const text = `${named(buttons, legends)}: bound, and ${has}.`;
    findings.push(finding('too-many-keys', using(buttons), 'More buttons than there are', text));
  }
  if (keys.length > 0) {
    const text = `${named(keys, legends)}: bound, and on no device.`;
    const title = `${keys.length} ${keys.length === 1 ? 'key is' : 'keys are'} on no device`;
    findings.push(finding('keys-absent', using(keys), title, text));
  }
  return findings;
}
