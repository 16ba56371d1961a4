import { AsyncLocalStorage } from 'node:async_hooks';
import { Injectable } from '@nestjs/common';

const pad = (value: number) => String(value).padStart(2, '0');
const localDay = (at: Date) => `${at.getFullYear()}-${pad(at.getMonth() + 1)}-${pad(at.getDate())}`;

/** The server's day and time. Tests set WAINROPE_TODAY; everything that judges takes its day from here. */
@Injectable()
export class Clock {
  private readonly moment = new AsyncLocalStorage<Date>();

  today(): string {
    const told = this.told();
    if (told) return told.toISOString().slice(0, 10);
    const set = process.env.WAINROPE_TODAY;
    if (set !== undefined && set !== '') return set;
    return localDay(new Date());
  }

  now(): Date {
    return this.told() ?? new Date();
  }

  /** The day that it will be in so many milliseconds: today, or where a day was set, that. */
  dayIn(ms: number): string {
    const isSet = process.env.WAINROPE_TODAY !== undefined && process.env.WAINROPE_TODAY !== '';
    return this.told() || isSet ? this.today() : localDay(new Date(Date.now() + ms));
  }

  /** Does some work as if it were done at another moment: how a history is laid down. */
  during<T>(moment: Date, work: () => Promise<T>): Promise<T> {
    return this.moment.run(moment, work);
  }

  /** The moment that `during` says it is, if it says one. */
  told(): Date | undefined {
    return this.moment.getStore();
  }
}
