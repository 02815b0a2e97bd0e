import { shallowRef } from 'vue';

/** In what lengths are shown and typed; documents have centimetres. */
export type LengthUnit = 'cm' | 'in';

const CM_IN_AN_INCH = 2.54;
const INCHES_IN_A_FOOT = 12;
const unit = shallowRef<LengthUnit>('cm');

/** Shows and reads lengths from now on in this unit; what is on screen follows. */
export function setLengthUnit(wanted: LengthUnit): void {
  unit.value = wanted;
}
/** The unit in use; reactive. */
export const lengthUnit = (): LengthUnit => unit.value;

/** Where inches are usual: the United States and the two other countries without the metric system. */
const INCH_REGIONS: ReadonlySet<string> = new Set(['US', 'LR', 'MM']);
/** What a browser’s language says about lengths. */
export const lengthUnitOf = (language: string): LengthUnit =>
  INCH_REGIONS.has(new Intl.Locale(language).maximize().region ?? '') ? 'in' : 'cm';

/** A number of centimetres as the number that is typed for it: whole or half inches are exact, others have one decimal. */
export const inUnit = (cm: number): number => (unit.value === 'cm' ? cm : Math.round((cm / CM_IN_AN_INCH) * 10) / 10);

/** The centimetres of a number that was typed. */
export const fromUnit = (value: number): number =>
  unit.value === 'cm' ? value : Math.round(value * CM_IN_AN_INCH * 100) / 100;

/** `12 cm`, or `4.5 in`: whole centimetres, half inches. */
export const lengthInWords = (cm: number): string =>
  unit.value === 'cm' ? `${Math.round(cm)} cm` : `${Math.round((cm / CM_IN_AN_INCH) * 2) / 2} in`;

/** `20 to 24 cm`; one length where both are shown alike. */
export function lengthsInWords(lowCm: number, highCm: number): string {
  const [low, high] = [lengthInWords(lowCm), lengthInWords(highCm)];
  return low === high ? high : `${low.replace(/ \D+$/, '')} to ${high}`;
}

/** How tall somebody is: `172 cm`, or `5 ft 8 in`. */
export function heightInWords(cm: number): string {
  if (unit.value === 'cm') return lengthInWords(cm);
  const inches = Math.round(cm / CM_IN_AN_INCH);
  return `${Math.floor(inches / INCHES_IN_A_FOOT)} ft ${inches % INCHES_IN_A_FOOT} in`;
}

/** A sentence in which lengths stand in centimetres, in the unit in use. */
export const withLengths = (sentence: string): string =>
  unit.value === 'cm' ? sentence : sentence.replace(/(\d+(?:\.\d+)?) cm\b/g, (_, cm) => lengthInWords(Number(cm)));

const CM_IN_A_METRE = 100;
const CM_IN_A_FOOT = CM_IN_AN_INCH * INCHES_IN_A_FOOT;
/** What walls and floors are measured in. */
export const largeUnit = (): 'm' | 'ft' => (unit.value === 'cm' ? 'm' : 'ft');
/** Centimetres as the number of metres, or of feet to a tenth, that is typed for them. */
export const inLargeUnit = (cm: number): number =>
  unit.value === 'cm' ? Math.round(cm) / CM_IN_A_METRE : Math.round((cm / CM_IN_A_FOOT) * 10) / 10;
/** The whole centimetres of a number of metres or feet. */
export const fromLargeUnit = (value: number): number =>
  Math.round(value * (unit.value === 'cm' ? CM_IN_A_METRE : CM_IN_A_FOOT));
/** `4.2 m`, or `13.8 ft`. */
export const largeLengthInWords = (cm: number): string => `${inLargeUnit(cm)} ${largeUnit()}`;
