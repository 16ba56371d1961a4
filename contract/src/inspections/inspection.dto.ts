import {
  type ExposureKind,
  exposureKinds,
  type GearClass,
  type Grade,
  gearClassNames,
  grades,
  type InspectionAnswers,
  type InspectionSheet,
  spoolStates,
} from '@wainrope/core';
import { Type } from 'class-transformer';
import {
  IsArray,
  IsBoolean,
  IsIn,
  IsInt,
  IsISO8601,
  IsOptional,
  IsString,
  IsUUID,
  Length,
  Max,
  MaxLength,
  Min,
  ValidateNested,
} from 'class-validator';
import { IsDayText } from '../day-field.ts';
import { DocumentField } from '../documents/document-field.ts';

/** `on-record`: taken over from a list, without findings. */
export const inspectionKinds = [
  'before-use',
  'after-use',
  'calendar',
  'after-overload',
  'on-receipt',
  'after-repair',
  'on-record',
] as const;
export type InspectionKind = (typeof inspectionKinds)[number];
/** Checks that members make; they leave grade and due day as they stand unless something fails. */
export const useChecks = ['before-use', 'after-use'] as const satisfies readonly InspectionKind[];
export const isUseCheck = (kind: InspectionKind): boolean => (useChecks as readonly InspectionKind[]).includes(kind);

/** Where an entry comes from that a device confirmed by itself: clocks differ, so the device's own count says what came first there. */
export class DeviceStamp {
  @IsUUID() deviceId!: string;
  /** How many things this device had confirmed, this one counted. */
  @IsInt() @Min(1) @Max(2_147_483_647) sequence!: number;
  /** What its clock said at the confirming. */
  @IsISO8601({ strict: true }) @MaxLength(40) clock!: string;
  /** What the same clock says at the sending: by it the server knows how far the two are apart. */
  @IsISO8601({ strict: true }) @MaxLength(40) sentAt!: string;
}

export class InspectionCreate {
  @IsUUID() inspectionId!: string;
  @IsUUID() gearId!: string;
  @IsIn(inspectionKinds.filter((kind) => kind !== 'on-record')) kind!: InspectionKind;
  @IsDayText() on!: string;
  /** Version of the sheet it was made with; 0 is the standard sheet. */
  @IsInt() @Min(0) sheetVersion!: number;
  /** Core’s inspection answers: points, measures, notes. */
  @DocumentField('InspectionAnswers') answers!: InspectionAnswers;
  /** Confirmed by the inspector; for a check before or after use, left out unless something fails. */
  @IsOptional() @IsIn(grades) grade?: Grade;
  @IsOptional() @IsDayText() nextDue?: string;
  @IsOptional() @IsString() @MaxLength(2000) note?: string;
  /** Who confirmed it on their device: it is kept under no other name. Left out: whoever sends it. */
  @IsOptional() @IsUUID() confirmedBy?: string;
  /** Given by a device that may send later than it confirmed. Left out: confirmed as it is sent. */
  @IsOptional() @ValidateNested() @Type(() => DeviceStamp) device?: DeviceStamp;
  /** Takes a piece in quarantine back to use. */
  @IsOptional() @IsBoolean() returnsToUse?: boolean;
  /** The earlier inspection that this one corrects. */
  @IsOptional() @IsUUID() corrects?: string;
  /** What a drum or a stretch rope carries on from use to use. */
  @IsOptional() @IsIn(spoolStates) spoolState?: (typeof spoolStates)[number];
  @IsOptional() @IsInt() @Min(0) @Max(10_000) pullsUsed?: number;
}

export class InspectionListed {
  @IsUUID() inspectionId!: string;
  @IsUUID() gearId!: string;
  @IsString() tag!: string;
  @IsString() name!: string;
  @IsIn(inspectionKinds) kind!: InspectionKind;
  @IsString() on!: string;
  @IsString() by!: string;
  @IsOptional() @IsIn(grades) grade?: Grade;
  @IsOptional() @IsString() nextDue?: string;
  @IsInt() faults!: number;
  @IsInt() photos!: number;
  @IsOptional() @IsUUID() corrects?: string;
}

export class InspectionView extends InspectionListed {
  @IsIn(gearClassNames) gearKind!: GearClass;
  @IsInt() sheetVersion!: number;
  @IsOptional() @DocumentField('InspectionSheet') sheet?: InspectionSheet;
  @IsOptional() @DocumentField('InspectionAnswers') answers?: InspectionAnswers;
  @IsOptional() @IsIn(grades) proposedGrade?: Grade;
  @IsOptional() @IsString() note?: string;
  /** When it was confirmed by the register's clock; on a device without a signal, before it was sent. */
  @IsString() doneAt!: string;
  /** When the register had it. */
  @IsString() recordedAt!: string;
  @IsArray() @IsUUID(undefined, { each: true }) photoIds!: readonly string[];
}

export class InspectionList {
  @IsArray() @ValidateNested({ each: true }) @Type(() => InspectionListed) items!: readonly InspectionListed[];
}

export class InspectionQuery {
  @IsOptional() @IsUUID() gearId?: string;
  @IsOptional() @IsUUID() person?: string;
  @IsOptional() @Type(() => Number) @IsInt() @Min(1) @Max(500) limit?: number;
}

/** What is looked at and measured on a class: the version in force. */
export class SheetView {
  @IsIn(gearClassNames) kind!: GearClass;
  /** 0: the standard sheet. */
  @IsInt() version!: number;
  @DocumentField('InspectionSheet') sheet!: InspectionSheet;
  @IsOptional() @IsString() reason?: string;
  @IsOptional() @IsString() savedBy?: string;
  @IsOptional() @IsString() savedAt?: string;
}

export class SheetList {
  @IsArray() @ValidateNested({ each: true }) @Type(() => SheetView) items!: readonly SheetView[];
}

export class SheetSave {
  @IsInt() @Min(0) baseVersion!: number;
  @DocumentField('InspectionSheet') sheet!: InspectionSheet;
  @IsString() @Length(3, 300, { message: 'Say in a line why the sheet changes.' }) reason!: string;
}

export class QuarantineRequest {
  @IsString() @Length(3, 500, { message: 'Say why it goes into quarantine.' }) reason!: string;
}

/** What a piece counts, and what only a person’s word with a reason turns back. */
export const counters = ['pulls', 'overloads'] as const;

export class CounterCorrection {
  @IsIn(counters, { message: 'Choose which counter.' }) counter!: (typeof counters)[number];
  @IsInt() @Min(0) @Max(1_000_000) value!: number;
  @IsString() @Length(3, 500, { message: 'Say why the counter was wrong.' }) reason!: string;
}

export class RetireRequest {
  @IsString() @Length(3, 500, { message: 'Say why it is retired.' }) reason!: string;
  @IsString() @Length(3, 500, { message: 'Say how it was destroyed, so that nobody uses it again.' }) destroyed!: string;
}

export class StateChangeView {
  @IsString() at!: string;
  @IsString() by!: string;
  @IsString() from!: string;
  @IsString() to!: string;
  @IsString() reason!: string;
  @IsOptional() @IsString() destroyed?: string;
  @IsOptional() @IsUUID() inspectionId?: string;
}

export const exposureChoices = [...exposureKinds, 'washed'] as const;

export class ExposureCreate {
  @IsUUID() exposureId!: string;
  @IsIn(exposureChoices, { message: 'Choose an exposure, or washing.' }) kind!: ExposureKind | 'washed';
  @IsDayText() on!: string;
  @IsOptional() @IsString() @MaxLength(500) note?: string;
}

export class ExposureView {
  @IsUUID() exposureId!: string;
  @IsIn(exposureChoices) kind!: ExposureKind | 'washed';
  @IsString() on!: string;
  @IsString() by!: string;
  @IsOptional() @IsString() note?: string;
}

export class DefectView {
  @IsUUID() defectId!: string;
  @IsUUID() gearId!: string;
  @IsString() tag!: string;
  @IsString() name!: string;
  @IsUUID() inspectionId!: string;
  @IsString() point!: string;
  @IsString() words!: string;
  @IsBoolean() failed!: boolean;
  @IsString() openedOn!: string;
  @IsString() openedBy!: string;
  @IsOptional() @IsString() closedOn?: string;
  @IsOptional() @IsString() closedBy?: string;
  @IsOptional() @IsString() how?: string;
}

export class DefectList {
  @IsArray() @ValidateNested({ each: true }) @Type(() => DefectView) items!: readonly DefectView[];
}

export class DefectClose {
  @IsString() @Length(3, 500, { message: 'Say how it was put right.' }) how!: string;
}

/** What the bench needs to know of one piece beside the register. */
export class PieceCare {
  @IsArray() @ValidateNested({ each: true }) @Type(() => InspectionListed) inspections!: readonly InspectionListed[];
  @IsArray() @ValidateNested({ each: true }) @Type(() => StateChangeView) states!: readonly StateChangeView[];
  @IsArray() @ValidateNested({ each: true }) @Type(() => ExposureView) exposures!: readonly ExposureView[];
  @IsArray() @ValidateNested({ each: true }) @Type(() => DefectView) defects!: readonly DefectView[];
}

/** The largest photo taken, in bytes, and its thumbnail. */
export const PHOTO_MAX_BYTES = 2_000_000;
export const THUMBNAIL_MAX_BYTES = 60_000;

/** What a photo is of. */
export const photoSubjects = ['inspection', 'vehicle', 'hook-up', 'incident'] as const;
export type PhotoSubject = (typeof photoSubjects)[number];

export class PhotoCreate {
  @IsUUID() photoId!: string;
  @IsUUID() subjectId!: string;
  @IsIn(photoSubjects) subjectKind!: PhotoSubject;
  /** Who confirmed it on their device: it is kept under no other name. Left out: whoever sends it. */
  @IsOptional() @IsUUID() confirmedBy?: string;
  @IsString() @Length(20, 2_800_000, { message: 'A photo can have at most 2 MB.' }) contentBase64!: string;
  @IsString() @Length(20, 90_000, { message: 'The small picture has at most 60 kB.' }) thumbnailBase64!: string;
}

export class PhotoView {
  @IsUUID() photoId!: string;
}
