/** A number as a person writes it, understood; or why it is none. */
export type QuantityReading =
  | {
      value: number;
      /** What was understood, in the words of the field: "62 %". */
      says: string;
    }
  | { expected: string };

/** A decimal number with `.` or `,` and a sign, and what is written behind it. */
const QUANTITY = /^([+-]?(?:\d+(?:[.,]\d*)?|[.,]\d+))\s*(.*)$/;
const FRACTION = /^(\d+)\s*\/\s*(\d+)$/;

const MM_PER_INCH = 25.4;
/** Millimetres of each unit of length that a screen can be measured with. */
const MILLIMETRES: Readonly<Record<string, number>> = {
  mm: 1,
  millimetre: 1,
  millimetres: 1,
  cm: 10,
  centimetre: 10,
  centimetres: 10,
  in: MM_PER_INCH,
  inch: MM_PER_INCH,
  inches: MM_PER_INCH,
  '"': MM_PER_INCH,
  '″': MM_PER_INCH,
};

const rounded = (value: number, decimals: number) => Number(value.toFixed(decimals));

function quantityOf(text: string): { number: number; unit: string } | null {
  const match = QUANTITY.exec(text.trim());
  if (!match) return null;
  const number = Number(match[1]!.replace(',', '.'));
  const unit = match[2]!.trim().toLowerCase();
  return { number, unit: unit === 'pixel' || unit === 'pixels' ? 'px' : unit };
}

/** What a share is written as: "0.62", "62", "62 %", "5/8", and "1587 px" where its length is known. */
function shareForms(hasLength: boolean): string {
  return `0.62, 62 %, 5/8${hasLength ? ' or 1587 px' : ''}`;
}

/**
 * Reads a share of a length. A bare number up to 1 is a fraction, one above it percent.
 *
 * @param length logical pixels that a share of 1 stands for; null where they are not known
 */
export function readShare(text: string, length: number | null): QuantityReading {
  const fraction = FRACTION.exec(text.trim());
  if (fraction && Number(fraction[2]) > 0) {
    return shareReading(Number(fraction[1]) / Number(fraction[2]), length);
  }
  const quantity = quantityOf(text);
  const expected = `expected a share such as ${shareForms(length !== null)}`;
  if (!quantity) return { expected };
  const { number, unit } = quantity;
  if (unit === '%') return shareReading(number / 100, length);
  if (unit === '') return shareReading(Math.abs(number) > 1 ? number / 100 : number, length);
  if (unit !== 'px' || length === null || length <= 0) return { expected };
  return shareReading(number / length, length);
}

function shareReading(share: number, length: number | null): QuantityReading {
  // More digits than a screen has pixels, so that pixels typed come out again.
  const value = rounded(share, 6);
  if (value < 0 || value > 1) return { expected: 'expected a share from 0 to 100 %' };
  const pixels = length === null ? '' : ` · ${Math.round(value * length)} px`;
  return { value, says: `${shareText(value)}${pixels}` };
}

/** A share as percent: "62 %". */
export function shareText(share: number): string {
  return `${rounded(share * 100, 2)} %`;
}

/** What a length on a screen can be measured by. */
export interface LengthScale {
  /** Logical pixels of a millimetre; null where the screen's size is not known. */
  perMillimetre: number | null;
  /** Logical pixels that 100 % stand for; null where there is no such length. */
  whole: number | null;
}

/**
 * Reads a length in logical pixels: "12", "12 px", "3 mm", "0.5 inch", "2 %". What is not given in pixels becomes
 * whole ones.
 */
export function readLength(text: string, { perMillimetre, whole }: LengthScale): QuantityReading {
  const quantity = quantityOf(text);
  const forms = [
    '12',
    ...(perMillimetre === null ? [] : ['3 mm', '0.2 inch']),
    ...(whole === null ? [] : ['1 %']),
  ];
  const expected =
    forms.length === 1
      ? 'expected a number of pixels'
      : `expected pixels, or a length such as ${forms.slice(1).join(', ')}`;
  if (!quantity) return { expected };
  const { number, unit } = quantity;
  if (unit === '' || unit === 'px') return { value: number, says: `${number} px` };
  const taken = (value: number, of: string): QuantityReading => ({
    value: Math.round(value),
    says: `${number} ${of} = ${Math.round(value)} px`,
  });
  if (unit === '%' && whole !== null) {
    return taken((number / 100) * whole, `% of ${Math.round(whole)} px`);
  }
  const millimetres = Object.hasOwn(MILLIMETRES, unit) ? MILLIMETRES[unit]! : null;
  if (millimetres === null) return { expected };
  if (perMillimetre === null) {
    return { expected: `${expected}: the size of this screen is not known (Desk, Screen size)` };
  }
  return taken(number * millimetres * perMillimetre, unit);
}

/** Reads a length on a screen in millimetres, whole ones: "597", "597 mm", "23.5 inch". */
export function readMillimetres(text: string): QuantityReading {
  const quantity = quantityOf(text);
  const unit = quantity?.unit === '' ? 'mm' : (quantity?.unit ?? '');
  if (!quantity || !Object.hasOwn(MILLIMETRES, unit)) {
    return { expected: 'expected millimetres, or inches such as 23.5 inch' };
  }
  const value = Math.round(quantity.number * MILLIMETRES[unit]!);
  return { value, says: `${value} mm` };
}

/**
 * Reads the weights of tracks side by side: "25 50 25", "1/2/1", "25 %, 50 %, 25 %".
 *
 * @param most the most of them
 */
export function readWeights(
  text: string,
  most: number,
): { weights: number[]; says: string } | { expected: string } {
  const expected = `expected up to ${most} numbers above 0, such as 25 50 25`;
  const words = text
    .trim()
    .replace(/\s*%/g, '')
    .split(/\s*[/;|:]\s*|\s*,\s+|\s+/)
    .filter((word) => word !== '');
  const weights = words.map((word) => Number(word.replace(',', '.')));
  const isWeight = (weight: number) => Number.isFinite(weight) && weight > 0 && weight <= 1e6;
  if (weights.length === 0 || weights.length > most || !weights.every(isWeight)) {
    return { expected };
  }
  return { weights, says: percentsText(weights) };
}

/**
 * Reads the weight of a track: "2", or "25 %" of all tracks together.
 *
 * @param others the weights of the other tracks together
 */
export function readWeight(text: string, others: number): QuantityReading {
  const quantity = quantityOf(text);
  const share = quantity?.unit === '%' ? quantity.number / 100 : null;
  const isShare = share !== null && share > 0 && share < 1 && others > 0;
  if (!quantity || (quantity.unit !== '' && !isShare)) {
    return {
      expected:
        others > 0 ? 'expected a weight such as 2, or a part such as 25 %' : 'expected a weight',
    };
  }
  const weight = share === null ? quantity.number : rounded((share / (1 - share)) * others, 4);
  if (weight <= 0) return { expected: 'expected a weight above 0' };
  return { value: weight, says: shareText(weight / (weight + others)) };
}

/** Weights as the percent that each is of all: "25 %, 50 %, 25 %". */
export function percentsText(weights: readonly number[]): string {
  const sum = weights.reduce((total, weight) => total + weight, 0);
  return weights.map((weight) => `${rounded((weight / sum) * 100, 1)} %`).join(', ');
}
