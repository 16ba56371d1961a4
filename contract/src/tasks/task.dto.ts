import { IsInt, IsOptional, IsString, IsUUID, Min } from 'class-validator';

/** A name that the asker gives to what may take long, to ask how far it is and to stop it. */
export class TaskQuery {
  @IsOptional() @IsUUID() task?: string;
}

/** How far something is that takes long. */
export class TaskView {
  @IsUUID() taskId!: string;
  /** What it does, in words. */
  @IsString() what!: string;
  @IsInt() @Min(0) done!: number;
  /** 0 while nobody knows how much there is. */
  @IsInt() @Min(0) of!: number;
}
