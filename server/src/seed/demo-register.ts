import type { INestApplicationContext } from '@nestjs/common';
import { type ImportPreview, type RegisterRow, readRegisterRow } from '@wainrope/contract';
import { parse } from 'csv-parse/sync';
import { stringify } from 'csv-stringify/sync';
import type { Actor } from '../actor/actor.ts';
import { GearService } from '../gear/gear.service.ts';
import { RegisterImportService } from '../gear/import/register-import.service.ts';

type Cells = Readonly<Record<string, string>>;
/** What a piece only comes to have after it has come. */
const LATER = ['inspected_on', 'grade', 'next_due', 'inspected_by', 'state'];

/** The demo's register file, brought in bit by bit as the pieces came. */
export class DemoRegister {
  readonly rows: readonly RegisterRow[];
  private readonly cells: readonly Cells[];
  private readonly ids = new Map<string, string>();

  constructor(
    private readonly app: INestApplicationContext,
    private readonly actor: Actor,
    csv: string,
  ) {
    this.cells = parse(csv, { columns: true, skip_empty_lines: true }) as Cells[];
    this.rows = this.cells.map((cells) => {
      const { row, faults } = readRegisterRow(cells, { decimal: '.', units: {}, isOwn: true });
      if (row?.tag === undefined) throw new Error(`The demo register has faults: ${cells.tag} ${JSON.stringify(faults)}`);
      return { ...row, tag: row.tag };
    });
  }

  idOf(tag: string): string {
    const id = this.ids.get(tag);
    if (id === undefined) throw new Error(`The demo has no piece ${tag} yet`);
    return id;
  }

  /** New pieces, as they were before anybody looked at them. */
  async take(tags: readonly string[]): Promise<void> {
    await this.import(tags, (cells) => ({ ...cells, ...Object.fromEntries(LATER.map((key) => [key, ''])) }));
    const { items } = await this.app.get(GearService).page(this.actor, { limit: 1000 });
    for (const { tag, gearId } of items) this.ids.set(tag, gearId);
  }

  /** Rows as they stand in the file; what the register has already stays. */
  async bring(tags: readonly string[]): Promise<void> {
    await this.import(tags, (cells) => ({ ...cells, state: '' }));
  }

  private async import(tags: readonly string[], change: (cells: Cells) => Cells): Promise<void> {
    const chosen = this.cells.filter(({ tag }) => tags.includes(tag ?? '')).map(change);
    const service = this.app.get(RegisterImportService);
    const content = stringify(chosen, { header: true });
    const request = { fileName: 'register.csv', contentBase64: Buffer.from(content).toString('base64') };
    const { rows } = JSON.parse(Buffer.from(await service.preview(this.actor, request)).toString()) as ImportPreview;
    const faulty = rows.filter(({ outcome }) => outcome === 'faulty');
    if (faulty.length > 0) throw new Error(`The demo register has faults: ${JSON.stringify(faulty)}`);
    await service.commit(this.actor, { ...request, rows: rows.map(({ row }) => row) });
  }
}
