'use client';

import { BarChart } from 'echarts/charts';
import { GridComponent, TooltipComponent } from 'echarts/components';
import { init, use as register } from 'echarts/core';
import { SVGRenderer } from 'echarts/renderers';
import { useEffect, useRef } from 'react';
import { drawnFont, themed } from '../parts/themed';

register([BarChart, GridComponent, TooltipComponent, SVGRenderer]);

export interface Bar {
  readonly label: string;
  readonly value: number;
  readonly says: string;
  readonly late: boolean;
}

/** What is open by age, as bars; what is overdue stands out. */
export const AgeChart = ({ bars, label }: { readonly bars: readonly Bar[]; readonly label: string }) => {
  const place = useRef<HTMLDivElement>(null);
  useEffect(() => {
    if (place.current === null) return;
    const chart = init(place.current, undefined, { renderer: 'svg' });
    const draw = (): void => {
      const [ink, soft, line, mark] = themed(['--color-base-content', '--ink-2', '--hairline', '--color-primary']);
      chart.setOption(
        {
          animation: false,
          textStyle: { fontFamily: drawnFont() },
          grid: { left: 70, right: 14, top: 12, bottom: 24 },
          tooltip: {
            trigger: 'item',
            formatter: ({ dataIndex }: { dataIndex: number }) => bars[dataIndex]?.says ?? '',
            renderMode: 'richText',
          },
          xAxis: {
            type: 'category',
            data: bars.map((bar) => bar.label),
            axisLine: { lineStyle: { color: soft } },
            axisTick: { show: false },
            axisLabel: { color: soft, fontSize: 11 },
          },
          yAxis: {
            type: 'value',
            axisLabel: { color: soft, fontSize: 11 },
            splitLine: { lineStyle: { color: line } },
          },
          series: [
            {
              type: 'bar',
              barMaxWidth: 64,
              data: bars.map(({ value, late }) => ({ value, itemStyle: { color: late ? mark : ink } })),
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
  }, [bars]);
  return <div ref={place} role="img" aria-label={label} className="h-40 w-full max-w-2xl" />;
};
