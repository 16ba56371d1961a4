import { Injectable } from '@nestjs/common';

/** The server's day and time. Tests set WAINROPE_TODAY; everything that judges takes its day from here. */
@Injectable()
export class Clock {
  today(): string {
    const set = process.env.WAINROPE_TODAY;
    if (set !== undefined && set !== '') return set;
    const now = new Date();
    const pad = (value: number) => String(value).padStart(2, '0');
    return `${now.getFullYear()}-${pad(now.getMonth() + 1)}-${pad(now.getDate())}`;
  }
}
