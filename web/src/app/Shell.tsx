import { Button } from '@mantine/core';
import { useMemo, useState } from 'react';
import { NavLink, Outlet, useLocation, useNavigate } from 'react-router';
import { ConditionsDrawer } from '../conditions/ConditionsDrawer';
import { Ribbon } from '../conditions/Ribbon';
import { useChosen } from '../state/chosen';
import { useRecords } from '../state/records';
import { Footer } from './Footer';
import { Guard } from './Guard';
import { KeysHelp } from './KeysHelp';
import { useKeys } from './keys';
import { LookChoice } from './LookChoice';
import { UnitsPanel } from './UnitsPanel';
import { useLoading } from './useLoading';
import { useSavingAtClose } from './useSavingAtClose';
import { views } from './views';

/** The frame of every view: folder tabs in working order, the ribbon of conditions, and the foot with saving and undo. */
export function Shell() {
  const navigate = useNavigate();
  const choose = useChosen((state) => state.choose);
  const undo = useRecords((state) => state.undo);
  const [help, setHelp] = useState(false);
  const [units, setUnits] = useState(false);
  const loading = useLoading();
  useSavingAtClose();
  const look = useChosen((state) => state.look);
  const { pathname } = useLocation();
  const actions = useMemo(
    () => ({
      ...Object.fromEntries(views.map(({ key, path }) => [key, () => void navigate(path)])),
      k: () => void navigate('/kit'),
      u: () => setUnits(true),
      c: () => choose({ conditionsOpen: true }),
      t: () => void navigate('/test-flights?record'),
      '?': () => setHelp(true),
      'Ctrl+Z': () => void undo(),
    }),
    [navigate, choose, undo],
  );
  useKeys(actions);

  return (
    <div className="shell">
      <header className="tabs">
        <span className="brand">Acorn Tally</span>
        <nav aria-label="Views">
          {views.map(({ path, name, key }) => (
            <NavLink key={path} to={path} className="tab">
              {name} <kbd>{key}</kbd>
            </NavLink>
          ))}
        </nav>
        <LookChoice />
        <button type="button" className="tab" onClick={() => setUnits(true)}>
          Units <kbd>U</kbd>
        </button>
        <NavLink to="/kit" className="tab">
          Kit <kbd>K</kbd>
        </NavLink>
        <NavLink to="/method" className="tab">
          Method
        </NavLink>
        <button type="button" className="tab" onClick={() => setHelp(true)}>
          Keys <kbd>?</kbd>
        </button>
      </header>
      {loading === 'ready' && (
        <Guard what="The ribbon of conditions" resetKeys={[pathname]}>
          <Ribbon />
        </Guard>
      )}
      {/* Charts take their colours when they are made, so another look makes them anew. */}
      {loading === 'ready' ? (
        <Guard what="This view" resetKeys={[pathname, look]}>
          <Outlet key={look} />
        </Guard>
      ) : (
        <Waiting loading={loading} />
      )}
      <Footer />
      {loading === 'ready' && <ConditionsDrawer />}
      <UnitsPanel opened={units} onClose={() => setUnits(false)} />
      <KeysHelp opened={help} onClose={() => setHelp(false)} />
    </div>
  );
}

function Waiting({ loading }: { readonly loading: 'loading' | 'failed' }) {
  const { trouble, load } = useRecords();
  if (loading === 'loading') return <main className="waiting">Reading your kit …</main>;
  return (
    <main className="waiting" role="alert">
      <p>{trouble}</p>
      <Button onClick={() => void load()}>Try again</Button>
    </main>
  );
}
