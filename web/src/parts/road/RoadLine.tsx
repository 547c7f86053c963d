import { format, isToday } from 'date-fns';
import { type Road, useRoad } from '../../document/road.ts';
import { RoadIcon, WarningIcon } from '../../ui/icons.ts';
import { PARTS_WORDS } from '../../wording/parts.ts';

/** Whether tonight can be played without a network, and from when it is what the device has. */
export function RoadLine() {
  const { road } = useRoad();
  const words = wordsOf(road);
  if (words === '') return null;
  const Sign = road.kind === 'ready' ? RoadIcon : WarningIcon;
  return (
    <span role="status" data-testid="road" data-road={road.kind} className="inline-flex items-center gap-1.5 text-base text-quiet">
      <Sign size={16} aria-hidden="true" className="shrink-0" />
      {words}
    </span>
  );
}

function wordsOf(road: Road): string {
  switch (road.kind) {
    case 'unknown':
      return '';
    case 'never':
      return PARTS_WORDS.keepsNothingWithoutANetwork;
    case 'partly':
      return PARTS_WORDS.notYetReadyWithoutANetwork;
    case 'ready':
      return PARTS_WORDS.readyWithoutANetwork(clockOf(road.at));
  }
}

/** A time of today by its hour, any other with its day. */
export function clockOf(at: number): string {
  return format(at, isToday(at) ? 'HH:mm' : 'd MMM, HH:mm');
}
