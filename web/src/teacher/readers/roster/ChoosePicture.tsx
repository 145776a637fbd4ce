import { useMutation } from '@tanstack/react-query';
import { cx } from 'class-variance-authority';
import { Popover } from 'radix-ui';
import { useState } from 'react';
import { toast } from 'sonner';
import { api, ok, sentence } from '../../../shared/api';
import { useChanged } from '../../../shared/changed';
import { Face, Picture, pictureName } from '../../../shared/Picture';
import { t } from '../../../shared/words';
import { Button } from '../../../ui/Button';
import { Row } from '../../../ui/Page';
import type { Member, Roster } from './rosterQueries';

/** The picture by which a reader finds their name; those of classmates cannot be chosen. */
export function ChoosePicture({ roster, member }: { roster: Roster; member: Member }) {
  const [open, setOpen] = useState(false);
  const changed = useChanged();
  const choose = useMutation({
    mutationFn: (picture: string) =>
      ok(
        api.PUT('/classes/{classId}/readers/{readerId}/picture', {
          params: { path: { classId: roster.id, readerId: member.id } },
          body: { picture },
        }),
      ),
    onSuccess: () => {
      setOpen(false);
      toast.success(t('Changed picture of {{name}}', { name: member.givenName }), {
        action: { label: t('Undo'), onClick: () => choose.mutate(member.picture) },
      });
      void changed('roster');
    },
    onError: (e) => toast.error(sentence(e)),
  });
  const owner = (picture: string) => roster.members.find((m) => m.picture === picture && m.id !== member.id);
  return (
    <Row className="gap-4">
      <Face picture={member.picture} name={member.givenName} />
      <span>{t('Picture: {{picture}}', { picture: pictureName(member.picture) })}</span>
      {roster.mayChange && (
        <Popover.Root open={open} onOpenChange={setOpen}>
          <Popover.Trigger asChild>
            <Button size="sm">{t('Change picture')}</Button>
          </Popover.Trigger>
          <Popover.Portal>
            <Popover.Content
              align="end"
              sideOffset={4}
              collisionPadding={8}
              aria-label={t('Pictures')}
              className="border-ink bg-paper shadow-lift z-40 grid max-h-100 grid-cols-6 gap-1 overflow-auto rounded-md border p-2"
            >
              {roster.pictures.map((picture) => (
                <Choice
                  key={picture}
                  picture={picture}
                  chosen={picture === member.picture}
                  owner={owner(picture)?.givenName}
                  choose={() => choose.mutate(picture)}
                />
              ))}
            </Popover.Content>
          </Popover.Portal>
        </Popover.Root>
      )}
    </Row>
  );
}

function Choice({
  picture,
  chosen,
  owner,
  choose,
}: {
  picture: string;
  chosen: boolean;
  owner: string | undefined;
  choose: () => void;
}) {
  const name = pictureName(picture);
  const label = owner === undefined ? name : t('{{picture}}: {{name}}', { picture: name, name: owner });
  return (
    <button
      type="button"
      title={label}
      aria-label={label}
      aria-pressed={chosen}
      disabled={owner !== undefined}
      onClick={choose}
      className={cx(
        'enabled:hover:bg-depth-1 rounded-md border-2 border-transparent p-1 disabled:opacity-35',
        'aria-pressed:border-overlay',
      )}
    >
      <Picture name={picture} />
    </button>
  );
}
