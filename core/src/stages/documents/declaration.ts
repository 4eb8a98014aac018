import { defineStage } from '../define-stage.ts';
import { fields, lead } from './fields.ts';
import { values } from './values.ts';

export const declaration = defineStage({ name: 'handover', lead, fields, values, findings: {} });
