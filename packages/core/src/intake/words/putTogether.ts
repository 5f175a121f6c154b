import type { Symptom } from '../../vocabulary/words.ts';
import type { Thing } from './item.ts';

/** A complaint that is told by a thing and any of these words beside it, in whatever phrase. */
export interface PutTogether {
  readonly thing: Thing;
  readonly words: RegExp;
  readonly symptom: Symptom;
}

/** In the order they are asked: of two that fit one clause the first is meant. */
export const PUT_TOGETHER: readonly PutTogether[] = [
  {
    thing: 'pedal',
    words:
      /^(soft|softer|spongy|sponge|mushy|sink|sinks|sinking|sank|floor|long|longer|springy|low|creeps|falls|drops|empty|pump|pumping|squashy|bottoms)$/,
    symptom: 'pedal.soft',
  },
  {
    thing: 'pedal',
    words:
      /^(puls|pulse|pulses|pulsing|pulsates|pulsating|grind|grinds|grinding|judder|judders|juddering|shudder|shudders|shuddering|kick|kicks|kicking|vibrate|vibrates|vibrating|vibration|buzz|buzzes|chatter|chatters|throb|throbs|rattle|rattles|shakes|ratchets)$/,
    symptom: 'abs.activates-when-stopping',
  },
  {
    thing: 'speedo',
    words:
      /^(jump|jumps|jumping|jumpy|flickers|flickering|erratic|drops|dropping|wanders|waves|waving|sticks|swings|swinging|bounces|bouncing|hunts|intermittent|intermittently|sometimes|occasionally|dances|hops|wavers|comes)$/,
    symptom: 'speedometer.erratic',
  },
  {
    thing: 'speedo',
    words:
      /^(dead|stopped|stops|nothing|zero|0|out|failed|broke|broken|died|stuck|gone|kaput|nil|blank|quit|without|no)$/,
    symptom: 'speedometer.dead',
  },
  {
    thing: 'gearbox',
    words:
      /^(badly|bad|late|later|hard|harsh|harshly|rough|roughly|stuck|slips|slipping|hunts|hunting|jerks|jerky|bangs|thumps|clunky|erratic|limp|wont|refuses)$/,
    symptom: 'shifting.bad',
  },
  { thing: 'steering', words: /^(heavy|heavier|stiff|hard|harder)$/, symptom: 'steering.heavy' },
];
