import { lexicon } from '../text/lexicon.ts';
import { SYMPTOM_IN_WORDS } from '../vocabulary/inWords.ts';
import type { Chip } from '../vocabulary/intakeReading.ts';
import type { Symptom } from '../vocabulary/words.ts';
import type { SourceText } from './sourceText.ts';

const LIT =
  'light|lamp|warning light|warning lamp|warning|light on|lamp on|light is on|lamp is on|light came on|telltale|lite';
const lamp = (names: string): string =>
  names
    .split('|')
    .flatMap((name) => [...LIT.split('|').map((lit) => `${name} ${lit}`), `${name} on`])
    .join('|');

/** Complaints as customers word them. */
export const SYMPTOM_LEXICON = lexicon<Symptom | readonly Symptom[]>([
  [
    `${lamp('abs|anti lock|antilock|anti lock brake|anti skid')}|abs is on|abs comes on|abs came on|abs lit|abs fault light|abs warning lamp on|light for the abs|abs light stays on`,
    'lamp.abs',
  ],
  [lamp('rear abs|rear anti lock|rear antilock'), 'lamp.rear-abs'],
  [
    `${lamp('brake|park brake|parking brake|handbrake|brake system')}|red brake light|red brake lamp`,
    'lamp.brake',
  ],
  [
    `${lamp('traction|traction control|stability|stability control|esp|esc|tc|skid|asr|tcs|dsc|vsc')}|skidding car light|slippery road light|traction off|esp on`,
    'lamp.traction',
  ],
  [lamp('awd|4wd|4x4|all wheel drive|four wheel drive'), 'lamp.awd'],
  [
    'abs and traction light|abs and traction lights|abs and traction lamps|abs and traction lamp|abs and esp light|abs and esp lights|abs and esp lamps|abs and traction|abs and stability lights|abs and traction lights on|abs and esp',
    ['lamp.abs', 'lamp.traction'],
  ],
  [
    'driver assist|drivers assist|driver assistance|lane assist|assist message|driver assist message|assist unavailable|camera message|cruise unavailable|adaptive cruise|driver aids|assist systems|emergency brake assist off',
    'message.driver-assist',
  ],
  [
    'tyre pressure light|tyre light|tyre monitor|tpms|tyre pressure message|tyre pressure warning|tyre message|tire pressure light|tyre pressure lamp|tyre monitor message|tyre monitor not working|tyre pressure monitor',
    'message.tyre-monitor',
  ],
  [
    'pedal pulses|pedal pulsing|pedal grinds|pedal grinding|pedal kicks|pedal judders|pedal shudders|brake pedal pulses|grinds when stopping|pulses when stopping|grinding when stopping|abs kicks in|abs cuts in|abs comes in|abs activates|false activation|abs activation|pedal vibrates|brakes grab at walking pace|abs kicking in|abs working when stopping|last few feet|last metres|pedal chatters|abs cutting in|abs goes off when stopping|abs engages',
    'abs.activates-when-stopping',
  ],
  [
    'speedo dead|speedometer dead|no speedo|speedo not working|speedo doesnt work|no speedometer|speedometer not working|dead speedo|dead speedometer|speedo stopped|speedometer doesnt work|speedo at zero|no speed on the clock|speedo out|speedometer is dead|speedo is dead|speedo stuck',
    'speedometer.dead',
  ],
  [
    'speedo jumps|speedometer jumps|jumpy speedo|speedo erratic|speedo jumping|speedometer jumping|speedo all over the place|speedometer erratic|jumping speedo|needle jumps|speedo bounces|speedo flickers|erratic speedo|erratic speedometer',
    'speedometer.erratic',
  ],
  [
    'bad shifting|shifts badly|bad shift|shifting badly|shifts hard|harsh shifts|hard shifting|wont change up|gearbox hunting|gearbox shifts badly|changes gear badly|rough shifting|stuck in gear|late shifts|gearbox plays up|shifting rough|erratic shifting|gearbox shifting badly',
    'shifting.bad',
  ],
  [
    'wheel growls|growling wheel|growling|growl|humming|wheel noise|noisy wheel|noisy bearing|rumble|rumbling|droning|bearing noise|grumbling|wheel hums|noise from the wheel|wheel is noisy|noise wheel|growls|hum from the wheel|wheel rumbles|rumbles',
    'noise.wheel',
  ],
  [
    'soft pedal|pedal soft|pedal is soft|pedal has gone soft|pedal went soft|spongy pedal|pedal spongy|pedal is spongy|spongy brakes|brakes spongy|brakes are spongy|soft brakes|pedal sinks|pedal sinking|sinking pedal|pedal goes to the floor|pedal to the floor|pedal goes down|pedal drops|pedal sinks to the floor|long pedal|no brakes|brakes failed|brakes gone|brakes have gone|pedal goes right down|pedal feels soft|pedal feels spongy',
    'pedal.soft',
  ],
  [
    'heavy steering|steering heavy|steering is heavy|power steering out|steering gone heavy|no power steering|stiff steering|steering stiff',
    'steering.heavy',
  ],
]);

/** Reads complaints; each with the words it came from. `reserved` spans are a check's words, such as `growls when spun`. */
export const readSymptoms = (
  source: SourceText,
  reserved: ReadonlyArray<{ from: number; to: number }>,
): { symptoms: Symptom[]; chips: Chip[] } => {
  const symptoms: Symptom[] = [];
  const chips: Chip[] = [];
  for (const hit of SYMPTOM_LEXICON.all(source.tokens)) {
    if (reserved.some((span) => hit.from < span.to && hit.to > span.from)) continue;
    if (Array.from({ length: hit.to - hit.from }, (_, i) => source.taken(hit.from + i)).some(Boolean))
      continue;
    source.take(hit.from, hit.to);
    const start = source.tokens[hit.from]?.start ?? 0;
    const end = source.tokens[hit.to - 1]?.end ?? 0;
    for (const symptom of [hit.meaning].flat()) {
      if (symptoms.includes(symptom)) continue;
      symptoms.push(symptom);
      chips.push({
        kind: 'complaint',
        label: SYMPTOM_IN_WORDS[symptom],
        words: source.text.slice(start, end),
        start,
        end,
        note: null,
      });
    }
  }
  return { symptoms, chips };
};
