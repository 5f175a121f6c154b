import { parseDocket, type Docket } from '@hardy/core';

/** A docket with a fact of every kind: what the speed targets are meant for. */
export const fullDocket: Docket = parseDocket({
  format: 'hardy-spoke/docket',
  version: 1,
  vehicle: {
    name: 'gritter',
    axles: 2,
    steeringSide: 'left',
    trafficSide: 'right',
    driveline: 'rwd',
    saltExposure: 'high',
    knuckle: 'iron',
    buildDate: '2014-05',
    wheelEnds: {
      A1: { sensor: 'passive', mounting: 'separate', target: 'ring-on-hub', ringSoldAlone: true },
      A2: { sensor: 'passive', mounting: 'separate', target: 'ring-on-shaft', ringSoldAlone: false },
    },
    tyres: { A1L: '225/75 R16', A1R: '225/75 R16', A2L: '225/75 R16', A2R: '225/75 R16' },
  },
  codes: [
    { module: 'ABS', code: 'C0037-2F', text: 'Rear left wheel speed sensor: erratic', status: 'active' },
    { module: 'ABS', code: 'C0037-1F', text: 'Rear left wheel speed sensor: intermittent', status: 'stored' },
    { module: 'Park brake', code: 'U0415', text: 'Invalid data from anti-lock controller', status: 'active' },
    { module: 'Engine', code: 'P0562', text: 'System voltage low', status: 'history' },
  ],
  symptoms: ['lamp.abs', 'lamp.traction', 'abs.activates-when-stopping', 'noise.wheel', 'shifting.bad'],
  history: [
    { event: 'sensor-replaced', wheelEnd: 'A2L', daysAgo: 40, cured: 'for-a-while', daysUntilReturn: 9 },
    { event: 'brake-work', wheelEnd: 'A2L', daysAgo: 60 },
  ],
  checks: [
    { check: 'visual.connector', wheelEnd: 'A2L', result: 'sound' },
    { check: 'bearing.play', wheelEnd: 'A2L', result: 'none' },
    { check: 'battery', restingVolts: 12.5 },
  ],
});
