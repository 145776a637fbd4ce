import { ArrowCounterClockwise, X } from '@phosphor-icons/react';
import { useQuery } from '@tanstack/react-query';
import { DropdownMenu } from 'radix-ui';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { type Api, api, ok } from '../../shared/api';
import { fm } from '../../shared/format';
import { keys } from '../../shared/keys';
import { t } from '../../shared/words';
import { AssignDialog } from '../assignments/AssignDialog';
import { useTexts, type ClassData } from '../classQueries';
import { Menu } from '../frame/Menu';
import { BeginRecord } from '../oral/BeginRecord';
import { FitSpread } from './FitSpread';
import { useTray } from './useTray';

export type Fit = Api<'FitView'>;

export const useFits = (classId: string, readers: string[], texts: string[]) =>
  useQuery({
    queryKey: keys.fit(classId, readers, texts),
    enabled: readers.length > 0 && texts.length > 0,
    queryFn: () =>
      ok(
        api.POST('/classes/{classId}/fit', {
          params: { path: { classId } },
          body: { readerIds: readers, textIds: texts },
        }),
      ),
  });

/** The strip that collects who and what, and acts on them. */
export function Tray({ data }: { data: ClassData }) {
  const tray = useTray();
  const navigate = useNavigate();
  const [assigning, setAssigning] = useState(false);
  const [recording, setRecording] = useState(false);
  const readers = data.readers.filter((r) => tray.readers.includes(r.id));
  const texts = (useTexts(data.id, tray.texts).data ?? []).filter((x) => tray.texts.includes(x.id));
  const fits = useFits(
    data.id,
    readers.map((r) => r.id),
    texts.map((x) => x.id),
  );
  if (readers.length + texts.length === 0) return null;
  const groups = [...new Set(readers.map((r) => r.group).filter(Boolean))];
  const first = texts[0];
  const fitOf = (id: string) => fits.data?.find((f) => f.readerId === id && f.textId === first?.id);
  return (
    <section className="tray" aria-label={t('Tray')}>
      <div className="what0">
        <h2>{t('Tray')}</h2>
        <button className="btn plain small" onClick={tray.empty}>
          <ArrowCounterClockwise size={16} aria-hidden />
          {t('Empty')}
        </button>
      </div>
      <div className="who">
        <h3>
          {t('{{count}} readers', { count: readers.length })}{' '}
          {groups.length > 0 && (
            <span>
              {t('from')} {groups.join(', ')}
            </span>
          )}
        </h3>
        <ul>
          {readers.map((r) => {
            const fit = fitOf(r.id);
            return (
              <li key={r.id}>
                <span className={fit?.zone === 'Frustration' ? 'reader deep' : 'reader'}>
                  {r.givenName}{' '}
                  {fit && (
                    <i>
                      {fit.forecast} %
                      {fit.zone === 'Frustration'
                        ? `, ${t('too deep')}`
                        : fit.zone === 'Independent'
                          ? `, ${t('easy')}`
                          : ''}
                    </i>
                  )}
                  <button
                    className="drop"
                    aria-label={t('Put {{name}} back', { name: r.givenName })}
                    onClick={() => tray.toggleReader(r.id)}
                  >
                    <X size={12} aria-hidden />
                  </button>
                </span>
              </li>
            );
          })}
        </ul>
      </div>
      <div className="what">
        <h3>
          {t('{{count}} texts', { count: texts.length })}{' '}
          {first && texts.length === 1 && <span>{first.versions.map((v) => fm(v.depth)).join(' / ')} fm</span>}
        </h3>
        <ul>
          {texts.map((x) => (
            <li key={x.id}>
              <span className="plate">
                {x.title}
                <button
                  className="drop"
                  aria-label={t('Put {{name}} back', { name: x.title })}
                  onClick={() => tray.toggleText(x.id)}
                >
                  <X size={12} aria-hidden />
                </button>
              </span>
            </li>
          ))}
        </ul>
      </div>
      {first && readers.length > 0 && fits.data && (
        <FitSpread
          fits={fits.data.filter((f) => f.textId === first.id)}
          cuts={data}
          name={(id) => readers.find((r) => r.id === id)?.givenName ?? ''}
        />
      )}
      <div className="acts">
        <button
          className="btn main"
          disabled={readers.length === 0 || texts.length === 0}
          onClick={() => setAssigning(true)}
        >
          {readers.length === 0
            ? t('Pick up readers to assign')
            : texts.length === 0
              ? t('Pick up a text to assign')
              : t('Assign to {{count}} readers…', { count: readers.length })}
        </button>
        <div className="two">
          <button
            className="btn small"
            disabled={readers.length === 0}
            onClick={() => void navigate(`/class/${data.id}/goals`)}
          >
            {t('Set goals…')}
          </button>
          <button
            className="btn small"
            disabled={readers.length === 0}
            onClick={() => void navigate(`/class/${data.id}/groups?form=picked`)}
          >
            {t('Form group…')}
          </button>
          {readers.length > 0 && (
            <Menu label={t('Other…')} className="small">
              <DropdownMenu.Item
                className="item"
                onSelect={() => void navigate(`/class/${data.id}/assignments/checks/new?readers=picked`)}
              >
                {t('Give a level check…')}
              </DropdownMenu.Item>
              {readers.length === 1 && first && (
                <DropdownMenu.Item className="item" onSelect={() => setRecording(true)}>
                  {t('Take a running record…')}
                </DropdownMenu.Item>
              )}
            </Menu>
          )}
        </div>
      </div>
      {recording && readers[0] && first && (
        <BeginRecord classId={data.id} reader={readers[0]} text={first} close={() => setRecording(false)} />
      )}
      {assigning && <AssignDialog data={data} texts={texts} readers={readers} close={() => setAssigning(false)} />}
    </section>
  );
}
