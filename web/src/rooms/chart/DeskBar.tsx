import { DropdownMenu, Popover } from 'radix-ui';
import type { ReactNode } from 'react';
import { useNavigate } from 'react-router';
import { LAYER_NAMES, type Layer } from '../../parts/analysis/sheet-content.ts';
import { SHOWS, ShowChoice } from '../../parts/reading/ShowChoice.tsx';
import { lensLink } from '../../session/lens-store.ts';
import { usePhone } from '../../session/use-media.ts';
import { useReads } from '../../session/use-reads.ts';
import { Button } from '../../ui/Button.tsx';
import { Hint } from '../../ui/Hint.tsx';
import {
  CapoIcon,
  CheckIcon,
  ChosenIcon,
  EditIcon,
  ExportIcon,
  type Icon,
  LayerIcon,
  NotChosenIcon,
  PrintIcon,
  StandIcon,
  TextIcon,
  VersionsIcon,
} from '../../ui/icons.ts';
import { MenuItem } from '../../ui/MenuItem.tsx';
import { Tick } from '../../ui/Tick.tsx';
import { CHART_WORDS } from '../../wording/chart.ts';

interface DeskBarProps {
  readonly songId: string;
  /** Whether it is only read: then there is nothing to check and to look back at. */
  readonly mayWrite: boolean;
  readonly layer: Layer;
  readonly onLayer: (layer: Layer) => void;
  /** Places to look at before the chart reaches the band. */
  readonly toLookAt: number;
  readonly checking: boolean;
  readonly onCheck: () => void;
  readonly onOpen: (sheet: 'print' | 'versions' | 'capo' | 'export' | 'details') => void;
  /** Opens the text, the caret in it. */
  readonly onText: () => void;
  /** How the song is played. */
  readonly children: ReactNode;
}

/** Beside the title: play, what the sheet shows, and what may be done with the whole chart. On a phone all but play is in one menu. */
export function DeskBar(props: DeskBarProps) {
  const { mayWrite, layer, onLayer, toLookAt, checking, onCheck, children } = props;
  const { show, setShow } = useReads();
  const isPhone = usePhone();
  return (
    <>
      {children}
      {!isPhone && (
        <>
          {mayWrite && (
            <Hint text={CHART_WORDS.placesToLookAtBeforeThe}>
              <Button
                look="bare"
                aria-label={checkWords(toLookAt)}
                aria-pressed={checking}
                className="px-2.5! aria-pressed:bg-wash"
                onClick={onCheck}
              >
                <CheckIcon size={18} aria-hidden="true" /> {toLookAt === 0 ? '' : toLookAt}
              </Button>
            </Hint>
          )}
          <LayerChoice layer={layer} onLayer={onLayer} />
          <ShowChoice show={show} shows={SHOWS} onShow={setShow} />
        </>
      )}
      <MoreMenu {...props} isPhone={isPhone} />
    </>
  );
}

function checkWords(toLookAt: number): string {
  return toLookAt === 0 ? CHART_WORDS.checked : CHART_WORDS.check(toLookAt);
}

/** What may be done with the whole chart, and on a phone what it shows as well. */
function MoreMenu({ songId, mayWrite, toLookAt, onCheck, onOpen, onText, isPhone }: DeskBarProps & { readonly isPhone: boolean }) {
  const { show, setShow } = useReads();
  const navigate = useNavigate();
  const toStand = () => void navigate(lensLink(`/songs/${songId}/stand`));
  return (
    <DropdownMenu.Root>
      <DropdownMenu.Trigger asChild>
        <Button look="bare" className="px-2.5!">
          {CHART_WORDS.more}
        </Button>
      </DropdownMenu.Trigger>
      <DropdownMenu.Portal>
        <DropdownMenu.Content
          align="end"
          className="z-30 max-h-(--radix-dropdown-menu-content-available-height) min-w-52 overflow-auto rounded-xl border border-edge bg-raised p-1.5 shadow-lg"
        >
          <Item icon={StandIcon} label={CHART_WORDS.onTheStand} onPress={toStand} />
          <Item icon={CapoIcon} label={CHART_WORDS.whereToPutACapo} onPress={() => onOpen('capo')} />
          <Item icon={PrintIcon} label={CHART_WORDS.print} onPress={() => onOpen('print')} />
          <Item icon={ExportIcon} label={CHART_WORDS.exportForOtherPrograms} onPress={() => onOpen('export')} />
          {mayWrite && (
            <>
              <Item icon={EditIcon} label={CHART_WORDS.details} onPress={() => onOpen('details')} />
              <Item icon={VersionsIcon} label={CHART_WORDS.versions} onPress={() => onOpen('versions')} />
              <Item icon={TextIcon} label={CHART_WORDS.editAsText} onPress={onText} />
            </>
          )}
          {isPhone && (
            <>
              {mayWrite && <Item icon={CheckIcon} label={checkWords(toLookAt)} onPress={onCheck} />}
              {SHOWS.map(([value, label]) => (
                <Item
                  key={value}
                  icon={value === show ? ChosenIcon : NotChosenIcon}
                  label={CHART_WORDS.show(label)}
                  onPress={() => setShow(value)}
                />
              ))}
            </>
          )}
        </DropdownMenu.Content>
      </DropdownMenu.Portal>
    </DropdownMenu.Root>
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
          aria-label={CHART_WORDS.analysisOverTheBars(on === 0 ? '' : CHART_WORDS.shown(on))}
          title={CHART_WORDS.analysisOverTheBarsTitle}
          className="px-2.5!"
        >
          <LayerIcon size={18} aria-hidden="true" /> {on === 0 ? '' : on}
        </Button>
      </Popover.Trigger>
      <Popover.Portal>
        <Popover.Content
          align="end"
          aria-label={CHART_WORDS.whatIsLaidOverTheBars}
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

function Item({ icon: Icon, label, onPress }: { readonly icon: Icon; readonly label: string; readonly onPress: () => void }) {
  return (
    <MenuItem onPress={onPress}>
      <Icon size={18} aria-hidden="true" /> {label}
    </MenuItem>
  );
}
