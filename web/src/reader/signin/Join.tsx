import { useState, type FormEvent } from 'react';
import { api, ok, sentence } from '../../shared/api';
import { t } from '../../shared/words';
import { Button } from '../../ui/Button';
import { Row } from '../../ui/Page';
import { PageTitle } from '../../ui/PageTitle';
import { BigField, Say } from '../../ui/Reader';
import { islandLook } from '../../ui/looks';

/** A reader who is not on the roster yet asks to be let in. */
export function Join({ code, back }: { code: string; back: () => void }) {
  const [id] = useState(() => crypto.randomUUID());
  const [given, setGiven] = useState('');
  const [family, setFamily] = useState('');
  const [said, setSaid] = useState('');
  const [done, setDone] = useState(false);
  const submit = async (e: FormEvent) => {
    e.preventDefault();
    try {
      await ok(api.POST('/session/join', { body: { id, code, givenName: given, familyName: family } }));
      setDone(true);
    } catch (problem) {
      setSaid(sentence(problem));
    }
  };
  if (done)
    return (
      <div className={islandLook()}>
        <PageTitle>{t('Thank you')}</PageTitle>
        <p role="status">{t('Your teacher will let you in.')}</p>
        <Button look="main" size="reader" onClick={back}>
          {t('Back to the names')}
        </Button>
      </div>
    );
  return (
    <form className={islandLook()} onSubmit={(e) => void submit(e)}>
      <PageTitle>{t('What is your name?')}</PageTitle>
      <BigField label={t('Given name')} kind="name" autoFocus maxLength={60} value={given} set={setGiven} />
      <BigField label={t('Family name')} kind="name" maxLength={60} value={family} set={setFamily} />
      {said && <Say role="alert">{said}</Say>}
      <Row>
        <Button look="main" size="reader" type="submit" disabled={!given.trim()}>
          {t('Ask to join')}
        </Button>
        <Button look="plain" size="reader" onClick={back}>
          {t('Back to the names')}
        </Button>
      </Row>
    </form>
  );
}
