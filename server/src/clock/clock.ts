import { AsyncLocalStorage } from 'node:async_hooks';
import { Injectable } from '@nestjs/common';

/** The server's day and time. Tests set WAINROPE_TODAY; everything that judges takes its day from here. */
@Injectable()
export class Clock {
  private readonly moment = new AsyncLocalStorage<Date>();

  today(): string {
    const told = this.told();
    if (told) return told.toISOString().slice(0, 10);
    const set = process.env.WAINROPE_TODAY;
    if (set !== undefined && set !== '') return set;
    const now = new Date();
    const pad = (value: number) => String(value).padStart(2, '0');
    return `${now.getFullYear()}-${pad(now.getMonth() + 1)}-${pad(now.getDate())}`;
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
