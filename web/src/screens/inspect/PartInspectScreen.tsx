import { useState } from 'react';
import { Link, useParams, useSearchParams } from 'react-router';
import { isOpenFinding, type Face, type InspectView } from '@calvetta/core';
import { useInspect } from '../../api/queries.ts';
import { Heading } from '../../ui/Heading.tsx';
import { StateWord } from '../../ui/StateWord.tsx';
import { Waiting } from '../../ui/Trouble.tsx';
import { FaceMap, type Spot } from './FaceMap.tsx';
import { FindingPanel } from './FindingPanel.tsx';
import { LevelPanel } from './LevelPanel.tsx';
import { NewFinding } from './NewFinding.tsx';
import { OtherHand } from './OtherHand.tsx';
import { Pictures } from './Pictures.tsx';
import { PitsPanel } from './PitsPanel.tsx';
import { TestCards } from './TestCards.tsx';
import { TrialPanel } from './TrialPanel.tsx';

/** What was found on one part: where, why, what mends it, and when it is good enough. */
export default function PartInspectScreen() {
  const { partId = '' } = useParams();
  const view = useInspect(partId);
  if (!view.data) return <Waiting isPage error={view.error} what="part" />;
  return <Of key={partId} view={view.data} />;
}

function Of({ view }: { readonly view: InspectView }) {
  const [params, setParams] = useSearchParams();
  const [spot, setSpot] = useState<Spot | null>(null);
  const { card } = view;
  const asked = params.get('finding');
  const chosen =
    view.findings.find((f) => f.findingId === asked) ?? view.findings.findLast(isOpenFinding) ?? null;
  const choose = (findingId: string): void => setParams({ finding: findingId }, { replace: true });
  const faces: readonly (Face | null)[] = card.faceCount > 1 ? ['A', 'B'] : [null];
  return (
    <>
      <Head card={card} />
      {/* On a phone what was found comes before pictures and pits; on a desk they stand beside it. */}
      <div className="grid gap-4 p-4 lg:grid-cols-[400px_minmax(0,1fr)] lg:grid-rows-[auto_1fr] lg:gap-x-5">
        <div className={faces.length > 1 ? 'grid grid-cols-2 gap-2' : ''}>
          {faces.map((face) => (
            <FaceMap
              key={face ?? 'whole'}
              view={view}
              face={face}
              label={face === null ? card.name : `Face ${face}`}
              chosenId={chosen?.findingId ?? null}
              spot={spot}
              onSpot={setSpot}
              onChoose={choose}
            />
          ))}
        </div>
        <div className="flex min-w-0 flex-col gap-4 lg:col-start-2 lg:row-span-2 lg:row-start-1">
          <NewFinding
            view={view}
            spot={spot}
            onStored={() => {
              setSpot(null);
              setParams({}, { replace: true });
            }}
          />
          {chosen ? (
            <FindingPanel
              key={chosen.findingId}
              view={view}
              finding={chosen}
              number={view.findings.indexOf(chosen) + 1}
              onClosed={() => choose(chosen.findingId)}
            />
          ) : (
            <p className="border border-line bg-panel p-4 text-quiet">
              Nothing is open on this part. Found something? Touch the drawing where it is, then say what.
            </p>
          )}
          {faces.map((face) => (
            <LevelPanel
              key={`level-${face}`}
              view={view}
              face={face}
              level={view.levels.find((l) => l.face === face) ?? null}
            />
          ))}
          <TestCards view={view} />
          <TrialPanel view={view} />
        </div>
        <div className="flex min-w-0 flex-col gap-4">
          <OtherHand view={view} />
          <Pictures view={view} findingId={null} />
          <PitsPanel view={view} />
        </div>
      </div>
    </>
  );
}

function Head({ card }: Pick<InspectView, 'card'>) {
  return (
    <header className="flex flex-wrap items-baseline gap-x-4 border-b border-line bg-panel px-4 py-3">
      <Heading title={['What was found', card.name]} className="text-[26px] leading-tight">
        {card.name}: what was found
      </Heading>
      <StateWord headline={card.headline} isLarge />
      <Link className="link-alone" to={`/parts/${encodeURIComponent(card.partId)}`}>
        to the part
      </Link>
      <Link className="link-alone" to="/inspect">
        all that is open
      </Link>
    </header>
  );
}
