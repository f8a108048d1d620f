import {
  BarElement,
  CategoryScale,
  Chart,
  Legend,
  LinearScale,
  Tooltip,
  type ChartData,
  type ChartOptions,
} from 'chart.js';
import { Bar } from 'react-chartjs-2';
import { WORK_OPS, type HoursView, type WorkOp } from '@calvetta/core';
import { WORK_WORDS } from '@calvetta/contract/words';
import { usePrefs } from '../../state/prefs.ts';

Chart.register(BarElement, CategoryScale, LinearScale, Tooltip, Legend);
Chart.defaults.font.family = "'Barlow Semi Condensed', sans-serif";
Chart.defaults.font.size = 13;
Chart.defaults.font.weight = 500;
Chart.defaults.animation = false;

/** A colour of the theme for each kind of work, in the order of the work. */
const COLOURS: Readonly<Record<WorkOp, string>> = {
  clean: '--s-early',
  strip: '--metal',
  fill: '--s-lift',
  prepare: '--s-keyed',
  coat: '--s-open',
  finish: '--s-closing',
  assemble: '--ink',
  look: '--quiet',
};
const colour = (name: string): string =>
  getComputedStyle(document.documentElement).getPropertyValue(name).trim();

/** Hours of hands by month, each bar parted by what they were at. */
export default function MonthsChart({ months }: { readonly months: HoursView['months'] }) {
  const theme = usePrefs((s) => s.theme);
  const used = WORK_OPS.filter((op) => months.some((m) => m.byOp[op] > 0));
  const data: ChartData<'bar', number[]> = {
    labels: months.map((m) => m.month),
    datasets: used.map((op) => ({
      label: WORK_WORDS[op],
      data: months.map((m) => Number(m.byOp[op].toFixed(1))),
      backgroundColor: colour(COLOURS[op]),
    })),
  };
  const [line, quiet] = [colour('--line'), colour('--quiet')];
  const options: ChartOptions<'bar'> = {
    responsive: true,
    maintainAspectRatio: false,
    scales: {
      x: { stacked: true, grid: { display: false }, ticks: { color: quiet } },
      y: {
        stacked: true,
        grid: { color: line },
        border: { display: false },
        ticks: { color: quiet, callback: (v) => `${v} h`, maxTicksLimit: 6 },
      },
    },
    plugins: {
      legend: {
        position: 'bottom',
        align: 'start',
        labels: { color: quiet, boxWidth: 12, boxHeight: 12 },
      },
      tooltip: {
        mode: 'index',
        callbacks: { label: (item) => `${item.dataset.label ?? ''} ${item.parsed.y ?? 0} h` },
      },
    },
  };
  return (
    <div className="h-[240px]">
      {/* A chart keeps the colours it was drawn with: another theme draws it anew. */}
      <Bar
        key={theme}
        data={data}
        options={options}
        role="img"
        aria-label={`Hours by month: ${months.map((m) => `${m.month} ${m.hours.toFixed(1)} h`).join(', ')}`}
      />
    </div>
  );
}
