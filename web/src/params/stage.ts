import { stageNames } from '@pilgrim/core/kernel/stage-list';

export const match = (param: string): boolean => (stageNames as readonly string[]).includes(param);
