import type { quote as en } from '../en/quote.ts';
import type { Told } from '../told.ts';

export const quote: Told<typeof en> = {
  title: 'Angebot {{number}}',
  date: 'Datum: {{date}}',
  until: 'G\u00FCltig bis {{date}}',
  for: 'F\u00FCr {{name}}',
  way: 'Was angeboten wird',
  work: 'Arbeit, {{hours}}',
  'no-work': 'Nur Teile: der Einbau geh\u00F6rt nicht zu diesem Angebot.',
  net: 'Netto',
  tax: 'Steuer, {{percent}} %',
  total: 'Zu zahlen',
  deposit: 'Pfand auf Altteile, wird zur\u00FCckgezahlt: {{sum}}',
  elsewhere: 'Von anderswo: {{what}}',
  cures: 'behebt es in {{count}} von 100',
  'tier-dealer': 'vom Hersteller',
  'tier-good': 'gute Marke',
  'tier-budget': 'g\u00FCnstig',
  both: 'beide Seiten',
  stock: 'auf Lager',
  awaited: 'etwa {{days}} Tage',
  declined: 'Geraten und abgelehnt: {{what}}. Grund: {{why}}',
  nothing: 'F\u00FCr dieses Angebot wurde noch nichts gew\u00E4hlt.',
  foot: 'Die Preise gelten bis zum genannten Tag. Ein Angebot macht das Fahrzeug nicht sicher: was \u00FCber das Fahren gesagt ist, gilt.',
};
