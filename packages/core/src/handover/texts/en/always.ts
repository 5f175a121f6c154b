/** What is said wherever it applies, whatever the part. */
export const always = {
  pedal: 'Pump the brake pedal until it is firm before the vehicle moves: the caliper was off.',
  'park-brake':
    'An electric park brake goes into its service mode before a rear caliper is touched, and out of it after.',
  bolts: 'Tighten the wheel bolts again after {{from}} to {{to}} km, crosswise, by torque wrench.',
  hands: 'Nobody touches a lead, a sensor or a ring while a wheel is turned by engine or motor.',
  road: 'Do not provoke an anti-lock stop on a road.',
  bleeding:
    'No brake line is opened for this. If one was, the brakes are bled by someone licensed before the vehicle moves.',
  alignment: 'Have the wheels aligned: the knuckle was moved.',
  outside: 'This vehicle is not in our catalogue: every torque is the maker\u2019s figure.',
  voltage:
    'Electric or hybrid: orange cables and what they lead to are for trained people only. Nothing here needs them.',
} as const;
