import type { ReactElement } from 'react';
import { useNavigate } from 'react-router';
import { openSheet } from '../session/sheet-store.ts';
import { useTheme } from '../session/use-theme.ts';
import { FindIcon, GlossaryIcon, HelpIcon, NightThemeIcon, PaperThemeIcon, SettingsIcon, YouIcon } from '../ui/icons.ts';
import { MenuItem } from '../ui/MenuItem.tsx';
import { OpenedMenu } from '../ui/OpenedMenu.tsx';
import { HELP_WORDS } from '../wording/help.ts';
import { HOUSE_WORDS } from '../wording/house.ts';
import { PEOPLE_WORDS } from '../wording/people.ts';

/** What stands in the rail elsewhere; open from the start. */
export function PhoneMenu({ trigger }: { readonly trigger: ReactElement }) {
  const { theme, turn } = useTheme();
  const navigate = useNavigate();
  return (
    <OpenedMenu trigger={trigger} className="z-50 min-w-56 rounded-xl border border-edge bg-raised p-1.5 shadow-lg">
      <MenuItem onPress={() => openSheet({ kind: 'commands' })}>
        <FindIcon size={18} aria-hidden="true" /> {HELP_WORDS.goToASongAKey}
      </MenuItem>
      <MenuItem onPress={turn}>
        {theme === 'paper' ? <NightThemeIcon size={18} aria-hidden="true" /> : <PaperThemeIcon size={18} aria-hidden="true" />}
        {theme === 'paper' ? HELP_WORDS.night : HELP_WORDS.paper}
      </MenuItem>
      <MenuItem onPress={() => void navigate('/settings')}>
        <SettingsIcon size={18} aria-hidden="true" /> {HOUSE_WORDS.settings}
      </MenuItem>
      <MenuItem onPress={() => void navigate('/you')}>
        <YouIcon size={18} aria-hidden="true" /> {PEOPLE_WORDS.youAndYourDevices}
      </MenuItem>
      <MenuItem onPress={() => openSheet({ kind: 'glossary', wanted: '' })}>
        <GlossaryIcon size={18} aria-hidden="true" /> {HELP_WORDS.glossary}
      </MenuItem>
      <MenuItem onPress={() => openSheet({ kind: 'keys' })}>
        <HelpIcon size={18} aria-hidden="true" /> {HELP_WORDS.shortcuts}
      </MenuItem>
    </OpenedMenu>
  );
}
