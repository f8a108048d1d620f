import {
  Chart,
  Filler,
  Legend,
  LinearScale,
  LineElement,
  PointElement,
  Tooltip,
  type ChartOptions,
  type Plugin,
} from 'chart.js';
import type { TimeAxis } from '../drawings/axis.ts';

Chart.register(LineElement, PointElement, LinearScale, Filler, Tooltip, Legend);
Chart.defaults.font.family = "'Barlow Semi Condensed', sans-serif";
Chart.defaults.font.size = 13;
Chart.defaults.animation = false;

/** A theme colour by its variable; `theme` makes the caller read it again when the theme changes. */
export function colour(name: string, _theme: string): string {
  return getComputedStyle(document.documentElement).getPropertyValue(name).trim();
}

interface TimeOptions {
  readonly axis: TimeAxis;
  readonly zone: string;
  readonly theme: string;
  readonly scalePx: number;
  readonly unitText: string;
  readonly time: (ms: number) => string;
}

/** A time chart whose plot area lies exactly under ribbons of the same axis. */
export function timeOptions({ axis, theme, scalePx, unitText, time }: TimeOptions): ChartOptions<'line'> {
  const line = colour('--line', theme);
  const quiet = colour('--quiet', theme);
  return {
    responsive: true,
    maintainAspectRatio: false,
    parsing: false,
    normalized: true,
    layout: { padding: 0 },
    elements: { point: { radius: 0, hitRadius: 6 } },
    interaction: { mode: 'index', intersect: false },
    scales: {
      x: { type: 'linear', min: axis.fromMs, max: axis.toMs, display: false },
      y: {
        afterFit: (scale) => {
          scale.width = scalePx;
        },
        grid: { color: line },
        border: { display: false },
        ticks: { color: quiet, callback: (v) => `${v}${unitText === '%' ? ' %' : '°'}`, maxTicksLimit: 7 },
      },
    },
    plugins: {
      legend: { position: 'bottom', align: 'start', labels: { color: quiet, boxWidth: 18, boxHeight: 2 } },
      tooltip: {
        callbacks: {
          title: (items) =>
            items[0]?.parsed.x === undefined || items[0].parsed.x === null ? '' : time(items[0].parsed.x),
          label: (item) => `${item.dataset.label ?? ''} ${(item.parsed.y ?? 0).toFixed(1)} ${unitText}`,
        },
      },
    },
  };
}

/** Upright lines with their words: coats, and now. */
export function marksPlugin(
  marks: readonly { readonly atMs: number; readonly text: string }[],
  theme: string,
): Plugin<'line'> {
  return {
    id: 'marks',
    afterDatasetsDraw(chart) {
      const { ctx, chartArea } = chart;
      const x = chart.scales['x'];
      if (!x) return;
      ctx.save();
      ctx.font = "600 12px 'Barlow Semi Condensed', sans-serif";
      let lastX = -1000;
      let row = 0;
      for (const m of [...marks].sort((a, b) => a.atMs - b.atMs)) {
        const px = x.getPixelForValue(m.atMs);
        if (px < chartArea.left || px > chartArea.right) continue;
        row = px - lastX < 90 ? row + 1 : 0;
        lastX = px;
        ctx.strokeStyle = colour('--ink', theme);
        ctx.fillStyle = colour('--ink', theme);
        ctx.lineWidth = m.text === 'now' ? 1.5 : 1;
        ctx.setLineDash(m.text === 'now' ? [] : [3, 3]);
        ctx.beginPath();
        ctx.moveTo(px, chartArea.top);
        ctx.lineTo(px, chartArea.bottom);
        ctx.stroke();
        const isRight = px > chartArea.right - 110;
        ctx.textAlign = isRight ? 'right' : 'left';
        ctx.fillText(m.text, px + (isRight ? -4 : 4), chartArea.top + 11 + row * 14);
      }
      ctx.restore();
    },
  };
}
