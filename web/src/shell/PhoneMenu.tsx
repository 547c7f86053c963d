import { BookOpenText, CircleQuestionMark, MoonStar, Search, Settings, Sun } from 'lucide-react';
import type { ReactElement } from 'react';
import { useNavigate } from 'react-router';
import { lensSearchNow } from '../session/lens-store.ts';
import { openSheet } from '../session/sheet-store.ts';
import { useTheme } from '../session/use-theme.ts';
import { MenuItem } from '../ui/MenuItem.tsx';
import { OpenedMenu } from '../ui/OpenedMenu.tsx';

/** What stands in the rail elsewhere; open from the start. */
export function PhoneMenu({ trigger }: { readonly trigger: ReactElement }) {
  const { theme, turn } = useTheme();
  const navigate = useNavigate();
  return (
    <OpenedMenu trigger={trigger} className="z-50 min-w-56 rounded-xl border border-edge bg-raised p-1.5 shadow-lg">
      <MenuItem onPress={() => openSheet({ kind: 'commands' })}>
        <Search size={18} aria-hidden="true" /> Go to a song, a key, a room
      </MenuItem>
      <MenuItem onPress={turn}>
        {theme === 'paper' ? <MoonStar size={18} aria-hidden="true" /> : <Sun size={18} aria-hidden="true" />}
        {theme === 'paper' ? 'Night' : 'Paper'}
      </MenuItem>
      <MenuItem onPress={() => void navigate({ pathname: '/settings', search: lensSearchNow() })}>
        <Settings size={18} aria-hidden="true" /> Settings
      </MenuItem>
      <MenuItem onPress={() => openSheet({ kind: 'glossary', wanted: '' })}>
        <BookOpenText size={18} aria-hidden="true" /> Glossary
      </MenuItem>
      <MenuItem onPress={() => openSheet({ kind: 'keys' })}>
        <CircleQuestionMark size={18} aria-hidden="true" /> Shortcuts
      </MenuItem>
    </OpenedMenu>
  );
}
