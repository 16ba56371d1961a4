import pdfMake from 'pdfmake/build/pdfmake.min.js';
import fonts from 'pdfmake/build/vfs_fonts.js';
import { type CardInput, cardSettings, fieldCard } from './field-card.ts';

/** What a card should take at most. */
const MOST_PAGES = 2;

export interface PrintedCard {
  readonly pdf: Uint8Array<ArrayBuffer>;
  readonly pages: number;
}

/** The card for the field as a PDF, set as roomily as two pages allow; a rig of very many pieces takes more in the tightest setting. */
export async function printCard(input: CardInput): Promise<PrintedCard> {
  pdfMake.addVirtualFileSystem(fonts);
  let printed: PrintedCard | undefined;
  for (const setting of cardSettings) {
    printed = await printedAs(fieldCard(input, setting));
    if (printed.pages <= MOST_PAGES) return printed;
  }
  if (!printed) throw new Error('A card has no setting to be printed in.');
  return printed;
}

async function printedAs(document: object): Promise<PrintedCard> {
  let pages = 0;
  const { footer } = document as { readonly footer: (page: number, pages: number) => object };
  const counted = (page: number, all: number) => {
    pages = all;
    return footer(page, all);
  };
  const pdf = await pdfMake.createPdf({ ...document, footer: counted }).getBuffer();
  return { pdf, pages };
}
