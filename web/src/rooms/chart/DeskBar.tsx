import { FileDown, Guitar, History, Layers, ListChecks, type LucideIcon, Maximize2, PencilLine, Printer } from 'lucide-react';
import { DropdownMenu, Popover } from 'radix-ui';
import type { ReactNode } from 'react';
import { useNavigate } from 'react-router';
import { LAYER_NAMES, type Layer } from '../../parts/analysis/sheet-content.ts';
import { SHOWS, ShowChoice } from '../../parts/reading/ShowChoice.tsx';
import { RidgeStrip } from '../../parts/ridge/RidgeStrip.tsx';
import { useChartView } from '../../session/chart-view-store.ts';
import { lensSearchNow } from '../../session/lens-store.ts';
import { useReads } from '../../session/use-reads.ts';
import { Button } from '../../ui/Button.tsx';
import { MenuItem } from '../../ui/MenuItem.tsx';
import { Tick } from '../../ui/Tick.tsx';

interface DeskBarProps {
  readonly songId: string;
  readonly heights: readonly number[];
  /** The chord that is chosen, counted over the song. */
  readonly at: number | null;
  readonly onGo: (index: number) => void;
  readonly layer: Layer;
  readonly onLayer: (layer: Layer) => void;
  /** Places to look at before the chart reaches the band. */
  readonly toLookAt: number;
  readonly checking: boolean;
  readonly onCheck: () => void;
  readonly onOpen: (sheet: 'print' | 'versions' | 'capo' | 'export') => void;
  /** How the song is played. */
  readonly children: ReactNode;
}

/** Over the sheet: play, the song's profile, what the sheet shows, and what may be done with the whole chart. */
export function DeskBar({ songId, heights, at, onGo, layer, onLayer, toLookAt, checking, onCheck, onOpen, children }: DeskBarProps) {
  const { writing, setWriting } = useChartView();
  const { show, setShow } = useReads();
  const navigate = useNavigate();
  const toStand = () => void navigate({ pathname: `/songs/${songId}/stand`, search: lensSearchNow() });
  return (
    <div className="flex flex-wrap items-center gap-x-1.5 border-b border-hairline px-3 py-1">
      {children}
      <RidgeStrip
        heights={heights}
        at={at}
        onGo={onGo}
        label={`The song’s ridge, ${heights.length} chords`}
        className="h-9 min-w-16 flex-1"
      />
      <Button look="bare" aria-pressed={checking} className="px-2.5! aria-pressed:bg-wash" onClick={onCheck}>
        <ListChecks size={18} aria-hidden="true" /> {toLookAt === 0 ? 'Checked' : `Check ${toLookAt}`}
      </Button>
      <LayerChoice layer={layer} onLayer={onLayer} />
      <ShowChoice show={show} shows={SHOWS} onShow={setShow} />
      <DropdownMenu.Root>
        <DropdownMenu.Trigger asChild>
          <Button look="bare" className="px-2.5!">
            More
          </Button>
        </DropdownMenu.Trigger>
        <DropdownMenu.Portal>
          <DropdownMenu.Content align="end" className="z-30 min-w-52 rounded-xl border border-edge bg-raised p-1.5 shadow-lg">
            <Item icon={Guitar} label="Where to put a capo" onPress={() => onOpen('capo')} />
            <Item icon={Printer} label="Print" onPress={() => onOpen('print')} />
            <Item icon={FileDown} label="Export for other programs" onPress={() => onOpen('export')} />
            <Item icon={History} label="Versions" onPress={() => onOpen('versions')} />
            <Item icon={Maximize2} label="On the stand" onPress={toStand} />
            <Item icon={PencilLine} label={writing ? 'Fold the text away' : 'Show the text'} onPress={() => setWriting(!writing)} />
          </DropdownMenu.Content>
        </DropdownMenu.Portal>
      </DropdownMenu.Root>
    </div>
  );
}

/** What of the analysis is laid over the bars. */
function LayerChoice({ layer, onLayer }: Pick<DeskBarProps, 'layer' | 'onLayer'>) {
  const on = LAYER_NAMES.filter(([name]) => layer[name]).length;
  return (
    <Popover.Root>
      <Popover.Trigger asChild>
        <Button
          look="bare"
          aria-label={`Analysis over the bars${on === 0 ? '' : `, ${on} shown`}`}
          title="Analysis over the bars"
          className="px-2.5!"
        >
          <Layers size={18} aria-hidden="true" /> {on === 0 ? '' : on}
        </Button>
      </Popover.Trigger>
      <Popover.Portal>
        <Popover.Content
          align="end"
          aria-label="What is laid over the bars"
          className="z-30 rounded-xl border border-edge bg-raised px-4 py-2 shadow-lg"
        >
          {LAYER_NAMES.map(([name, label]) => (
            <Tick key={name} label={label} on={layer[name]} onTick={(next) => onLayer({ ...layer, [name]: next })} />
          ))}
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}

function Item({ icon: Icon, label, onPress }: { readonly icon: LucideIcon; readonly label: string; readonly onPress: () => void }) {
  return (
    <MenuItem onPress={onPress}>
      <Icon size={18} aria-hidden="true" /> {label}
    </MenuItem>
  );
}
