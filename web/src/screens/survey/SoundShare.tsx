import { Slider } from 'radix-ui';
import type { Survey } from '@calvetta/core';
import { pictureOf } from './pictures.tsx';

interface Props {
  readonly survey: Survey;
  readonly onAnswer: (patch: Partial<Survey>) => void;
}

/** How much of the old paint holds: the picture moves with the hand. Not said, it counts as a half. */
export function SoundShare({ survey, onAnswer }: Props) {
  const share = survey.soundShare ?? 0.5;
  return (
    <div className="my-1 flex items-center gap-3">
      <span className="w-[92px] shrink-0">
        {pictureOf('coating', 'partly', { ...survey, soundShare: share })}
      </span>
      <label className="min-w-0 flex-1">
        <span className="text-[13px] text-quiet">
          {Math.round(100 * share)} % of it holds{survey.soundShare === null ? ', if nobody says' : ''}
        </span>
        <Slider.Root
          className="relative flex h-8 w-full touch-none items-center pointer-coarse:h-11"
          min={0.05}
          max={0.95}
          step={0.05}
          value={[share]}
          onValueChange={([v]) => onAnswer({ soundShare: Math.round((v ?? share) * 100) / 100 })}
        >
          <Slider.Track className="relative h-1 grow bg-line">
            <Slider.Range className="absolute h-full bg-chosen" />
          </Slider.Track>
          <Slider.Thumb
            aria-label="Share of the old paint that holds"
            className="block size-5 border-2 border-chosen bg-panel"
          />
        </Slider.Root>
      </label>
    </div>
  );
}
