import { z } from 'zod';
import { drivePartKinds, drivePartSchema, searchedOfDrivePart, type DrivePart } from './drive-part.ts';
import { driveItemSchema, searchedOfDrive, type DriveItem } from './drive-item.ts';
import type { Searched } from './item.ts';
import { motorItemSchema, searchedOfMotor, type MotorItem } from './motor-item.ts';
import { coordinatedCombinationSchema } from './coordinated-combination.ts';
import { searchedOfPart, starterPartSchema, type StarterPart } from './starter-part.ts';

export type { DriveItem, DrivePart, MotorItem, StarterPart };

export const catalogueSchema = z.strictObject({
  name: z.string().max(120),
  currency: z.string().max(3),
  motors: z.array(motorItemSchema).max(20_000),
  drives: z.array(driveItemSchema).max(5000),
  parts: z.array(starterPartSchema).max(5000),
  accessories: z.array(drivePartSchema).max(5000).default([]),
  /** What was tested together. */
  pairs: z.array(coordinatedCombinationSchema).max(5000).default([]),
});

export type Catalogue = Readonly<z.infer<typeof catalogueSchema>>;
export type Item = MotorItem | DriveItem | StarterPart | DrivePart;

const kinds: readonly string[] = drivePartKinds;
export const isDrivePart = (item: Item): item is DrivePart => kinds.includes(item.kind);

/** What an item is searched by. */
export function searched(item: Item): Searched {
  if (item.kind === 'motor') return searchedOfMotor(item);
  if (item.kind === 'drive') return searchedOfDrive(item);
  return isDrivePart(item) ? searchedOfDrivePart(item) : searchedOfPart(item);
}

export const emptyCatalogue: Catalogue = {
  name: '',
  currency: '',
  motors: [],
  drives: [],
  parts: [],
  accessories: [],
  pairs: [],
};
