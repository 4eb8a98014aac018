import { defineStage } from '../define-stage.ts';
import { fields, lead } from './fields.ts';
import { findings } from './findings.ts';
import { values } from './values.ts';

export const declaration = defineStage({ name: 'nameplate', lead, fields, values, findings });
