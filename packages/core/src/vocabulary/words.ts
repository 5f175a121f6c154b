import { z } from 'zod';
import { CAUSES, EVENTS, PART_CLASSES, SYMPTOMS } from './wordLists.ts';

export const Cause = z.enum(CAUSES);
export type Cause = z.infer<typeof Cause>;

export const PartClass = z.enum(PART_CLASSES);
export type PartClass = z.infer<typeof PartClass>;

export const Action = z.enum(['sell', 'check', 'no-part']);
export type Action = z.infer<typeof Action>;

export const Caution = z.enum([
  'stop-driving',
  'abs-inactive',
  'lifting',
  'single-use-fasteners',
  'seizure-risk',
  'encoder-magnets',
  'alignment',
  'high-voltage',
  'licensed-work',
]);
export type Caution = z.infer<typeof Caution>;

export const Symptom = z.enum(SYMPTOMS);
export type Symptom = z.infer<typeof Symptom>;

export const EventName = z.enum(EVENTS);
export type EventName = z.infer<typeof EventName>;

export const Cured = z.enum(['no', 'for-a-while', 'yes']);
export const CodeStatus = z.enum(['active', 'stored', 'pending', 'history']);
export type CodeStatus = z.infer<typeof CodeStatus>;
export const CodeRole = z.enum(['root', 'knock-on', 'other', 'unknown']);
export type CodeRole = z.infer<typeof CodeRole>;

export const Side = z.enum(['left', 'right']);
export type Side = z.infer<typeof Side>;
export const Driveline = z.enum(['fwd', 'rwd', 'awd', 'trailer']);
export type Driveline = z.infer<typeof Driveline>;
export const SaltExposure = z.enum(['none', 'some', 'high']);
export type SaltExposure = z.infer<typeof SaltExposure>;
export const Knuckle = z.enum(['iron', 'aluminium']);
export type Knuckle = z.infer<typeof Knuckle>;

export const SensorType = z.enum(['passive', 'active']);
export type SensorType = z.infer<typeof SensorType>;
export const Mounting = z.enum(['separate', 'in-hub', 'centre']);
export type Mounting = z.infer<typeof Mounting>;
export const Target = z.enum(['ring-on-shaft', 'ring-on-hub', 'encoder-in-bearing', 'ring-in-differential']);
export type Target = z.infer<typeof Target>;

/** What an answer may need before it can place a phrase or a part. */
export const QuestionAbout = z.string().min(1).max(60);
export const PositionNeed = z.enum(['steeringSide', 'trafficSide', 'axle', 'side']);
export type PositionNeed = z.infer<typeof PositionNeed>;
