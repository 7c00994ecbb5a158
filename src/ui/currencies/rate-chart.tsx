'use client';

import type { IsoDate } from '@/core/base/iso-date';
import { LineChart, ScatterChart } from 'echarts/charts';
import { GridComponent, TooltipComponent } from 'echarts/components';
import { init, use as register } from 'echarts/core';
import { SVGRenderer } from 'echarts/renderers';
import { useEffect, useRef } from 'react';
import { drawnFont, themed } from '../parts/themed';

register([LineChart, ScatterChart, GridComponent, TooltipComponent, SVGRenderer]);

export interface Point {
  readonly date: IsoDate;
  /** For drawing only; figures are computed from exact rates. */
  readonly value: number;
  readonly says: string;
}

/** A currency's rates over time as a line, the ones in use marked. */
export const RateChart = ({
  points,
  used,
  label,
}: {
  readonly points: readonly Point[];
  readonly used: readonly Point[];
  readonly label: string;
}) => {
  const place = useRef<HTMLDivElement>(null);
  useEffect(() => {
    if (place.current === null) return;
    const chart = init(place.current, undefined, { renderer: 'svg' });
    const draw = (): void => {
      const [ink, soft, line, mark, paper] = themed([
        '--color-base-content',
        '--ink-2',
        '--hairline',
        '--color-primary',
        '--color-base-100',
      ]);
      const axis = {
        axisLine: { lineStyle: { color: soft } },
        axisLabel: { color: soft, fontSize: 11 },
        axisTick: { show: false },
      };
      chart.setOption(
        {
          animation: false,
          textStyle: { fontFamily: drawnFont() },
          grid: { left: 54, right: 14, top: 12, bottom: 24 },
          tooltip: {
            trigger: 'item',
            formatter: (given: { data: readonly [string, number, string] }) => given.data[2],
            renderMode: 'richText',
          },
          xAxis: { type: 'time', ...axis, splitLine: { show: false } },
          yAxis: { type: 'value', scale: true, ...axis, splitLine: { lineStyle: { color: line } } },
          series: [
            {
              type: 'line',
              data: points.map((one) => [one.date, one.value, one.says]),
              showSymbol: points.length < 40,
              symbol: 'circle',
              symbolSize: 4,
              lineStyle: { color: ink, width: 1.2 },
              itemStyle: { color: ink },
            },
            {
              type: 'scatter',
              data: used.map((one) => [one.date, one.value, one.says]),
              symbolSize: 10,
              itemStyle: { color: mark, opacity: 1 },
              label: {
                show: true,
                formatter: 'used',
                position: 'bottom',
                distance: 6,
                color: mark,
                backgroundColor: paper,
                padding: [1, 3],
                fontSize: 11,
              },
            },
          ],
        },
        true,
      );
    };
    draw();
    const resized = new ResizeObserver(() => chart.resize());
    resized.observe(place.current);
    const theme = new MutationObserver(draw);
    theme.observe(document.documentElement, { attributes: true, attributeFilter: ['data-theme'] });
    return () => {
      resized.disconnect();
      theme.disconnect();
      chart.dispose();
    };
  }, [points, used]);
  return <div ref={place} role="img" aria-label={label} className="h-44 w-full" />;
};
