import { useState, type FormEvent } from 'react';
import type { Api } from '../../shared/api';
import { t } from '../../shared/words';
import { Button } from '../../ui/Button';
import { Row } from '../../ui/Page';
import { PageTitle } from '../../ui/PageTitle';
import { BigField, Say } from '../../ui/Reader';
import { islandLook } from '../../ui/looks';
import { useTry } from './useTry';

/** A short code or a password. */
export function TypedSecret({ code, who, back }: { code: string; who: Api<'Tile'>; back: () => void }) {
  const [secret, setSecret] = useState('');
  const { error, attempt } = useTry(code, who);
  const isCode = who.secretKind === 'Code';
  const submit = async (e: FormEvent) => {
    e.preventDefault();
    if (!(await attempt(secret))) setSecret('');
  };
  return (
    <form className={islandLook()} onSubmit={(e) => void submit(e)}>
      <PageTitle>
        {isCode
          ? t('{{name}}, type your code', { name: who.name })
          : t('{{name}}, type your password', { name: who.name })}
      </PageTitle>
      <BigField
        label={isCode ? t('Your code') : t('Your password')}
        bare
        kind={isCode ? 'code' : 'name'}
        type={isCode ? 'text' : 'password'}
        autoFocus
        autoCapitalize="none"
        value={secret}
        set={setSecret}
      />
      {error && <Say role="alert">{error}</Say>}
      <Row>
        <Button look="main" size="reader" type="submit" disabled={!secret.trim()}>
          {t('Continue')}
        </Button>
        <Button look="plain" size="reader" onClick={back}>
          {t('That is not me')}
        </Button>
      </Row>
    </form>
  );
}
