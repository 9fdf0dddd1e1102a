import { LineChart as Lines } from 'echarts/charts';
import { GridComponent, MarkLineComponent, TooltipComponent } from 'echarts/components';
import { type EChartsType, init, use as register } from 'echarts/core';
import { SVGRenderer } from 'echarts/renderers';
import { useEffect, useRef } from 'react';

register([Lines, GridComponent, TooltipComponent, MarkLineComponent, SVGRenderer]);

/** A line of a chart: its colour is the name of one of the theme's. */
export interface ChartLine {
  readonly name: string;
  readonly points: ReadonlyArray<readonly [number, number]>;
  readonly colour: 'laid' | 'now' | 'wanted' | 'ink' | 'rim' | 'chalk';
  readonly dash?: 'solid' | 'dashed' | 'dotted';
  /** True where each point was measured. */
  readonly marked?: boolean;
  readonly width?: number;
  /** What stands at its end. */
  readonly endsIn?: string;
}

/** A range that is drawn as a band: where, and from where to where. */
export interface ChartBand {
  readonly name: string;
  readonly points: ReadonlyArray<readonly [x: number, low: number, high: number]>;
  readonly colour: ChartLine['colour'];
}

interface LineChartProps {
  readonly lines: readonly ChartLine[];
  readonly band?: ChartBand;
  readonly xName: string;
  readonly yName: string;
  readonly yText: (y: number) => string;
  /** A level drawn across. */
  readonly level?: { readonly name: string; readonly y: number };
  readonly label: string;
}

type ColourName = ChartLine['colour'];

/** The theme’s colours as a drawing library can read them. */
const coloursOf = (element: HTMLElement): ((name: ColourName) => string) => {
  const probe = document.createElement('span');
  element.append(probe);
  const names: readonly ColourName[] = ['laid', 'now', 'wanted', 'ink', 'rim', 'chalk'];
  const found = new Map(
    names.map(name => {
      probe.style.color = `var(--color-${name})`;
      return [name, getComputedStyle(probe).color] as const;
    }),
  );
  probe.remove();
  return name => found.get(name) ?? '#444';
};

const seriesOf = (line: ChartLine, colour: string) => ({
  type: 'line',
  name: line.name,
  data: line.points.map(p => [...p]),
  showSymbol: line.marked ?? false,
  symbol: 'circle',
  symbolSize: 8,
  lineStyle: { color: colour, type: line.dash ?? 'solid', width: line.width ?? 2 },
  itemStyle: { color: colour },
  endLabel: { show: line.endsIn !== undefined, formatter: line.endsIn ?? '', color: colour, fontSize: 15 },
});

/** A band is a line that is not seen, and what stands on it, filled. */
const bandOf = (band: ChartBand, colour: string) => {
  const unseen = {
    type: 'line',
    stack: 'band',
    stackStrategy: 'all',
    silent: true,
    showSymbol: false,
  } as const;
  const lineStyle = { opacity: 0 };
  return [
    { ...unseen, name: band.name, lineStyle, data: band.points.map(([x, low]) => [x, low]) },
    {
      ...unseen,
      name: band.name,
      lineStyle,
      areaStyle: { color: colour, opacity: 0.25 },
      data: band.points.map(([x, low, high]) => [x, high - low]),
    },
  ];
};

/** Where the upright axis begins: below all that is drawn, a level that nothing has reached yet included. */
const lowest = ({ lines, level, band }: LineChartProps): number => {
  const all = [
    ...lines.flatMap(l => l.points.map(([, y]) => y)),
    ...(band?.points ?? []).map(([, low]) => low),
    ...(level ? [level.y] : []),
  ];
  return Math.max(0, Math.floor((Math.min(1, ...all) - 0.01) * 20) / 20);
};

const optionOf = (props: LineChartProps, colour: (name: ColourName) => string) => {
  const text = { color: colour('chalk'), fontFamily: 'inherit', fontSize: 13 };
  const { level, yText } = props;
  const across = level && {
    silent: true,
    symbol: 'none',
    label: {
      formatter: level.name,
      position: 'insideEndTop',
      color: colour('wanted'),
      fontFamily: 'inherit',
    },
    lineStyle: { color: colour('wanted'), type: 'dotted', width: 3 },
    data: [{ yAxis: level.y }],
  };
  return {
    animation: false,
    grid: { left: 56, right: 24, top: 32, bottom: 44 },
    tooltip: { trigger: 'item' },
    xAxis: {
      type: 'value',
      name: props.xName,
      nameLocation: 'middle',
      nameGap: 26,
      nameTextStyle: text,
      axisLabel: text,
      splitLine: { show: false },
      axisLine: { lineStyle: { color: colour('ink') } },
    },
    yAxis: {
      type: 'value',
      name: props.yName,
      min: lowest(props),
      max: 1,
      nameTextStyle: { ...text, align: 'left' },
      axisLabel: { ...text, formatter: yText },
      splitLine: { lineStyle: { color: colour('rim'), type: 'dotted' } },
    },
    series: [
      ...props.lines.map((line, i) => ({
        ...seriesOf(line, colour(line.colour)),
        ...(i === 0 && across ? { markLine: across } : {}),
      })),
      ...(props.band ? bandOf(props.band, colour(props.band.colour)) : []),
    ],
  };
};

/** A chart of lines over one axis, drawn in the theme’s own colours. */
export const LineChart = (props: LineChartProps) => {
  const place = useRef<HTMLDivElement>(null);
  const chart = useRef<EChartsType | null>(null);
  const drawn = useRef('');
  useEffect(() => {
    const element = place.current;
    if (!element) return;
    const made = init(element, null, { renderer: 'svg' });
    chart.current = made;
    drawn.current = '';
    const watch = new ResizeObserver(() => made.resize());
    watch.observe(element);
    return () => {
      watch.disconnect();
      made.dispose();
    };
  }, []);
  useEffect(() => {
    if (!place.current) return;
    const colour = coloursOf(place.current);
    // The theme may have changed under it.
    const spec = JSON.stringify([props.lines, props.level, props.xName, colour('ink')]);
    if (drawn.current === spec) return;
    drawn.current = spec;
    chart.current?.setOption(optionOf(props, colour), true);
  });
  return <div ref={place} role="img" aria-label={props.label} className="h-72 w-full" />;
};
