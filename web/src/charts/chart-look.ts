import type { Layout, PlotData } from 'plotly.js';

/** Colours of the page as it is lit now, by what they are for. */
export interface ChartLook {
  readonly paper: string;
  readonly ink: string;
  readonly quiet: string;
  readonly rule: string;
  readonly rope: string;
  readonly slate: string;
  readonly rust: string;
  readonly moss: string;
  readonly amber: string;
}

/** Reads the colours that the page's own style gives. */
export function chartLook(): ChartLook {
  const style = getComputedStyle(document.documentElement);
  const colour = (name: string) => style.getPropertyValue(`--${name}`).trim() || '#000';
  return {
    paper: colour('sheet'),
    ink: colour('ink'),
    quiet: colour('quiet'),
    rule: colour('rule'),
    rope: colour('rope-shade'),
    slate: colour('slate'),
    rust: colour('rust'),
    moss: colour('moss'),
    amber: colour('amber-ink'),
  };
}

const FONT = '"Barlow Semi Condensed", sans-serif';

interface Axis {
  readonly title: string;
  readonly type?: 'date' | 'linear';
}

/** Paper ground, hairlines, our type, units on the axes. */
export function chartLayout(look: ChartLook, axes: { readonly x: Axis; readonly y: Axis }): Partial<Layout> {
  const axis = ({ title, type = 'linear' }: Axis) => ({
    type,
    title: { text: title, font: { size: 14, color: look.quiet }, standoff: 8 },
    gridcolor: `${look.rule}88`,
    gridwidth: 0.5,
    linecolor: look.ink,
    linewidth: 1,
    ticks: 'outside' as const,
    tickcolor: look.ink,
    tickfont: { size: 13, color: look.ink },
    zeroline: false,
    automargin: true,
    fixedrange: false,
    tickformat: type === 'date' ? '%Y-%m' : '',
    hoverformat: type === 'date' ? '%Y-%m-%d' : '',
  });
  return {
    paper_bgcolor: look.paper,
    plot_bgcolor: look.paper,
    font: { family: FONT, size: 14, color: look.ink },
    margin: { l: 56, r: 16, t: 12, b: 44 },
    showlegend: false,
    hovermode: 'closest',
    hoverlabel: { bgcolor: look.paper, bordercolor: look.ink, font: { family: FONT, color: look.ink, size: 14 } },
    xaxis: axis(axes.x),
    yaxis: axis(axes.y),
  };
}

type Dash = 'solid' | 'dash' | 'dot';

interface LineParts {
  readonly name: string;
  readonly x: readonly (string | number)[];
  readonly y: readonly number[];
  readonly color: string;
  readonly dash?: Dash;
  readonly width?: number;
}

/** A line that is not touched: limits, trends. */
export function plainLine({ name, x, y, color, dash = 'solid', width = 1.5 }: LineParts): Partial<PlotData> {
  return { type: 'scatter', mode: 'lines', name, x: [...x], y: [...y], line: { color, dash, width }, hoverinfo: 'skip' };
}

/** Words set beside a point of a line, in its own colour, in place of a legend. */
export function directLabel(parts: {
  readonly x: string | number;
  readonly y: number;
  readonly text: string;
  readonly color: string;
  readonly at?: 'left' | 'right';
  readonly above?: boolean;
}): NonNullable<Layout['annotations']>[number] {
  const { x, y, text, color, at = 'left', above = true } = parts;
  return {
    x,
    y,
    text,
    font: { color, size: 14 },
    showarrow: false,
    xanchor: at,
    yanchor: above ? 'bottom' : 'top',
  };
}
