import { CAUTION_IN_WORDS, type Caution } from '@hardy/core/words';

const SHORT: Readonly<Record<Caution, string>> = {
  'stop-driving': 'do not drive',
  'abs-inactive': 'no anti-lock while the lamp is lit',
  lifting: 'stands and chocks, level ground',
  'single-use-fasteners': 'single-use bolts new, by torque wrench',
  'seizure-risk': 'old sensor may snap',
  'encoder-magnets': 'no magnets or swarf near the encoder',
  alignment: 'alignment afterwards',
  'high-voltage': 'orange cables: trained people only',
  'licensed-work': 'maker\u2019s data and local law first',
};

/** Cautions in a few words each; the whole sentence opens below and stands on the hand-over sheet. */
export function CautionsPanel({ cautions }: { cautions: readonly Caution[] }) {
  return (
    <details className="cautions">
      <summary>
        <span className="kicker">cautions</span> {cautions.map((caution) => SHORT[caution]).join(' \u00B7 ')}
      </summary>
      <ul>
        {cautions.map((caution) => (
          <li key={caution}>{CAUTION_IN_WORDS[caution]}</li>
        ))}
      </ul>
    </details>
  );
}
