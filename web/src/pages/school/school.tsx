import type { OneTimeLink, SchoolDetails } from '@green-beam/contract';
import { useQuery } from '@tanstack/react-query';
import { format } from 'date-fns';
import { useState, type ReactNode } from 'react';
import { ask } from '../../api/request.ts';
import { Failed, Loading, Notice } from '../../ui/notice.tsx';
import { InviteTeacher } from './invite-teacher.tsx';
import { SchoolRules } from './school-rules.tsx';
import { Teachers } from './teachers.tsx';

function LinkMade({ link }: { readonly link: OneTimeLink }): ReactNode {
  return (
    <div className="mt-4" role="status">
      <Notice tone="sound" title="One-time link">
        <p>Give this link to the teacher. It works once, until {format(new Date(link.expires), 'd MMMM')}.</p>
        <p className="mt-1 font-mono break-all select-all">{`${window.location.origin}${link.path}`}</p>
      </Notice>
    </div>
  );
}

/** The administrator’s page: who teaches here, invitations and new passwords, and how long sessions last. */
export default function School({ ownId }: { readonly ownId: string }): ReactNode {
  const [link, setLink] = useState<OneTimeLink | null>(null);
  const { data: school, error } = useQuery({
    queryKey: ['school'],
    queryFn: () => ask<SchoolDetails>('GET', '/school'),
  });
  return (
    <main className="mx-auto w-full max-w-4xl px-4 py-8 wide:px-7">
      <h1 className="text-2xl font-bold">{school?.name ?? 'School'}</h1>
      {error && <Failed error={error} />}
      {!school && !error && <Loading what="the teachers" />}
      {school && <Teachers teachers={school.teachers} ownId={ownId} onLink={setLink} />}
      {link && <LinkMade link={link} />}
      <InviteTeacher onLink={setLink} />
      {school && <SchoolRules idleMinutes={school.idleMinutes} keepArchivedMonths={school.keepArchivedMonths} />}
    </main>
  );
}
