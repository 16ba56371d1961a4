import { type GearClass, gearClasses, gearClassNames } from '@wainrope/core';

/** The class a cell names: by its key, its label or its plural, whatever the case. */
export function recogniseClass(cell: string): GearClass | undefined {
  const name = cell
    .trim()
    .toLowerCase()
    .replace(/[\s_]+/g, '-');
  return gearClassNames.find((kind) => {
    const { label, plural, alsoCalled } = gearClasses[kind];
    const forms = [kind, label, plural].map((form) => form.toLowerCase().replace(/[\s_]+/g, '-'));
    return forms.includes(name) || alsoCalled.some((other) => other === name);
  });
}
