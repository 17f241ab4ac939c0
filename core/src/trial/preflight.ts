/** The pre-flight checklist: what is done at the aircraft, cautions marked. Local rules and club practice come first. */
export const PREFLIGHT: readonly { text: string; caution: boolean }[] = [
  { text: 'Local rules read: mass, height, airspace, insurance; permission for the site', caution: true },
  { text: 'People behind the flight line; one person near the armed aircraft', caution: true },
  { text: 'Wing, tail and joints: no cracks, no play, spar seated', caution: false },
  { text: 'CG checked on the bench in this loading', caution: false },
  { text: 'Payload latched, bay closed', caution: false },
  { text: 'Controls move the right way; throws as drawn', caution: false },
  { text: 'Range check made; failsafe cuts the motor', caution: true },
  { text: 'Pack: no swelling or damage, charged under watch, fixed in place', caution: true },
  {
    text: 'Propeller: no nicks, bolt tight, everyone out of its plane before the arming plug goes in',
    caution: true,
  },
  { text: 'Logger on, stopwatch ready, card read aloud', caution: false },
];
