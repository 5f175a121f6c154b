/** What a code says about a wheel-speed signal: the word its likelihood row is kept under (`code.<meaning>`). */
export type CodeMeaning =
  | 'open'
  | 'short-to-ground'
  | 'short-to-battery'
  | 'ground-or-open'
  | 'battery-or-open'
  | 'resistance-low'
  | 'resistance-high'
  | 'voltage-range'
  | 'intermittent'
  | 'erratic'
  | 'no-signal'
  | 'frequency'
  | 'implausible'
  | 'mounting'
  | 'device'
  | 'generic';

export interface FailureType {
  readonly meaning: CodeMeaning;
  readonly words: string;
}

/** Failure type bytes of SAE J2012-DA that wheel-speed codes carry. */
export const FAILURE_TYPES: Readonly<Record<string, FailureType>> = {
  '11': { meaning: 'short-to-ground', words: 'short to ground' },
  '12': { meaning: 'short-to-battery', words: 'short to battery' },
  '13': { meaning: 'open', words: 'circuit open' },
  '14': { meaning: 'ground-or-open', words: 'short to ground or open' },
  '15': { meaning: 'battery-or-open', words: 'short to battery or open' },
  '1A': { meaning: 'resistance-low', words: 'resistance below threshold' },
  '1B': { meaning: 'resistance-high', words: 'resistance above threshold' },
  '1C': { meaning: 'voltage-range', words: 'voltage out of range' },
  '1F': { meaning: 'intermittent', words: 'circuit intermittent' },
  '29': { meaning: 'erratic', words: 'signal invalid' },
  '2F': { meaning: 'erratic', words: 'signal erratic' },
  '31': { meaning: 'no-signal', words: 'no signal' },
  '36': { meaning: 'frequency', words: 'signal frequency too low' },
  '37': { meaning: 'frequency', words: 'signal frequency too high' },
  '38': { meaning: 'frequency', words: 'signal frequency incorrect' },
  '62': { meaning: 'implausible', words: 'signal compare failure' },
  '64': { meaning: 'implausible', words: 'signal plausibility failure' },
  '76': { meaning: 'mounting', words: 'wrong mounting position' },
};

/** Failure mode identifiers of SAE J1939-73 that wheel-speed codes carry. */
export const FAILURE_MODES: Readonly<Record<number, FailureType>> = {
  2: { meaning: 'erratic', words: 'data erratic' },
  3: { meaning: 'short-to-battery', words: 'voltage above normal or shorted high' },
  4: { meaning: 'short-to-ground', words: 'voltage below normal or shorted low' },
  5: { meaning: 'open', words: 'current below normal or open circuit' },
  6: { meaning: 'short-to-ground', words: 'current above normal or grounded circuit' },
  7: { meaning: 'implausible', words: 'mechanical system not responding' },
  8: { meaning: 'frequency', words: 'abnormal frequency' },
  10: { meaning: 'erratic', words: 'abnormal rate of change' },
  12: { meaning: 'device', words: 'bad device' },
  13: { meaning: 'implausible', words: 'out of calibration' },
  14: { meaning: 'generic', words: 'special instructions' },
};
