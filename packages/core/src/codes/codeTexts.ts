import { lexicon } from '../text/lexicon.ts';
import { tokenise, type Token } from '../text/tokens.ts';
import type { CodeMeaning } from './codeMeaning.ts';

/** Words beside a code that say what kind of fault it is. */
const MEANINGS = lexicon<CodeMeaning>([
  [
    'open circuit|circuit open|open|interrupted|interruption|broken circuit|line break|wire break|break in circuit|disconnected|current low|current below normal',
    'open',
  ],
  [
    'short to ground|shorted to ground|short to earth|short circuit to ground|short circuit to earth|ground short|low voltage signal|voltage low|voltage below normal',
    'short-to-ground',
  ],
  [
    'short to battery|shorted to battery|short to plus|short to positive|short circuit to battery|short circuit to plus|short circuit to positive|voltage high|voltage above normal',
    'short-to-battery',
  ],
  [
    'short to ground or open|open or short to ground|open or shorted to ground|ground or open|open or ground|open circuit or short to ground|electrical fault|electrical failure|circuit fault|circuit failure|circuit malfunction|open or short|open or short circuit|open short',
    'ground-or-open',
  ],
  ['short to battery or open|open or short to battery|open circuit or short to battery', 'battery-or-open'],
  ['resistance low|resistance too low|resistance below threshold', 'resistance-low'],
  ['resistance high|resistance too high|resistance above threshold', 'resistance-high'],
  ['voltage out of range|out of range|voltage range|range performance', 'voltage-range'],
  ['intermittent|sporadic|loose connection|intermittent contact|drops out|drop out|dropout', 'intermittent'],
  [
    'erratic|signal erratic|invalid signal|signal invalid|signal disturbed|interference|noise|unstable|jumps|rate of change|abnormal rate of change',
    'erratic',
  ],
  [
    'no signal|signal missing|missing signal|signal absent|no pulses|no output|no pulse|no speed|missing|signal lost|loss of signal|no wheel speed|without signal',
    'no-signal',
  ],
  [
    'frequency|signal frequency|frequency too low|frequency too high|frequency low|frequency high|frequency incorrect|abnormal frequency',
    'frequency',
  ],
  [
    'implausible|implausible signal|signal implausible|plausibility|plausibility failure|not plausible|compare failure|compare|deviation|differs|difference|speed difference|too slow|too fast|speed too high|speed too low|wrong tooth count|tone wheel|correlation',
    'implausible',
  ],
  [
    'mounting position|wrong mounting position|air gap|gap too large|distance too large|mounting|excessive gap',
    'mounting',
  ],
  ['bad device|defective|internal fault|sensor defective|sensor fault internal', 'device'],
]);

const WHEEL_SPEED = lexicon<true>([
  [
    'wheel speed|wheel sensor|wss|speed sensor|abs sensor|anti lock sensor|antilock sensor|tone ring|wheel rpm|wheel speed sensor|wheelspeed|tone wheel|encoder|rotation sensor|wheel rotation|revolution sensor|sensor wheel|wheel end sensor|pulse ring|speed signal|wheel signal|rear speed sender|axle speed|wheel end speed|axle sender|rotational speed',
    true,
  ],
]);

const ECHO = lexicon<true>([
  [
    'invalid data|invalid data received|implausible data|data invalid|faulty data|lost communication|no communication|communication lost|no message|missing message|message missing|bus message|message from|signal from|data from|data received|no data|timeout',
    true,
  ],
]);

const BRAKE_CONTROLLER = lexicon<true>([
  [
    'abs|anti lock|antilock|ebs|esp|esc|dsc|vsc|stability control|stability|brake controller|brake control|brake control module|brake system|electronic brake|electronic brakes|brake electronics|trailer abs|trailer ebs|braking|brakes|skid control|dynamic stability|wheel slip control|brake module|brake ecu|brake|abs ecu|abs esp',
    true,
  ],
]);

const NOT_BRAKE_CONTROLLER = lexicon<true>([
  [
    'park brake|parking brake|hand brake|handbrake|electric park brake|trailer brake lights|brake lights|brake light|brake booster',
    true,
  ],
]);

const OTHER_CONTROLLER = lexicon<true>([
  [
    'engine|motor|ecm|pcm|powertrain|gearbox|transmission|tcm|transfer case|four wheel drive|all wheel drive|body|bcm|gateway|airbag|srs|restraint|climate|hvac|heater|air conditioning|radio|infotainment|telematics|instrument|instruments|cluster|dash|dashboard|camera|radar|lane|cruise|door|doors|seat|seats|light|lighting|headlamp|immobiliser|steering|power steering|tachograph|suspension|parking aid|tyre pressure',
    true,
  ],
]);

const VOLTAGE = lexicon<true>([
  [
    'low voltage|voltage low|supply voltage|battery voltage|system voltage|undervoltage|under voltage|voltage too low|terminal 30|supply low|battery low|voltage supply',
    true,
  ],
]);

const has = (found: readonly unknown[]): boolean => found.length > 0;
const tokensOf = (text: string | readonly Token[]): readonly Token[] =>
  typeof text === 'string' ? tokenise(text) : text;

/** The fault kind a description names, or null. The longest phrase wins. */
export const meaningInText = (text: string): CodeMeaning | null => {
  const hits = MEANINGS.all(tokensOf(text));
  return (
    hits.reduce<(typeof hits)[number] | null>(
      (best, hit) => (!best || hit.to - hit.from > best.to - best.from ? hit : best),
      null,
    )?.meaning ?? null
  );
};

export const isWheelSpeedText = (text: string): boolean => has(WHEEL_SPEED.all(tokensOf(text)));
export const isEchoText = (text: string): boolean => {
  const tokens = tokensOf(text);
  return has(ECHO.all(tokens)) && has(BRAKE_CONTROLLER.all(tokens));
};
export const isVoltageText = (text: string): boolean => has(VOLTAGE.all(tokensOf(text)));

/** Words of a controller that says it failed itself, or its pump or a relay of its own. */
const SELF = lexicon<true>([
  [
    'internal failure|internal fault|internal error|internal malfunction|internal electronic failure|control unit failure|control unit fault|control unit defective|controller failure|controller fault|controller defective|controller failed|control module failure|control module fault|control module defective|module failure|module defective|module fault|ecu fault|ecu failure|ecu defective|ecu internal|memory failure|checksum|watchdog|pump motor|return pump|pump relay|pump circuit|motor relay|valve relay|solenoid relay|main relay|valve solenoid|solenoid valve|inlet valve|outlet valve|hydraulic unit|hydraulic control unit|modulator valve|modulator defective',
    true,
  ],
]);

/** Whether a description says that the controller, its pump or a relay failed. */
export const isSelfText = (text: string): boolean => has(SELF.all(tokensOf(text)));

/**
 * Whether a module's name is that of a brake controller. Park brakes are their own modules. Null: a name nobody here
 * knows, which may be either.
 */
export const isBrakeController = (module: string): boolean | null => {
  const tokens = tokensOf(module);
  if (has(NOT_BRAKE_CONTROLLER.all(tokens))) return false;
  if (has(BRAKE_CONTROLLER.all(tokens))) return true;
  return has(OTHER_CONTROLLER.all(tokens)) ? false : null;
};
