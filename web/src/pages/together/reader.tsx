import type { TogetherNow, TogetherReader, TogetherRound, TogetherTaken } from '@green-beam/contract';
import { instrumentById, readTogether, type Picture } from '@green-beam/core';
import { useQueryClient } from '@tanstack/react-query';
import { useMemo, useRef, useState, type ReactNode, type RefObject } from 'react';
import { RefusedError } from '../../api/request.ts';
import { createSight, type Sight } from '../../instruments/sight/sight.ts';
import { ToolStage } from '../../instruments/tool-stage.tsx';
import { viewOf } from '../../instruments/views.ts';
import { useNumerals } from '../../numbers/decimal-mark.ts';
import { newId } from '../../outbox/new-id.ts';
import { outbox } from '../../outbox/outbox.ts';
import { useOutbox } from '../../outbox/use-outbox.ts';
import { Button } from '../../ui/button.tsx';
import { useShortcuts } from '../../ui/shortcuts.ts';
import { AnswerLine, writingOf } from '../bench/entry/answer-line.tsx';

interface ReaderProps {
  readonly classId: string;
  /** Whose session carries it. */
  readonly signedInId: string;
  readonly round: TogetherRound;
  readonly cautions: readonly string[];
  readonly reader: TogetherReader;
  /** Who reads after this one at the same screen; null for nobody. */
  readonly next: string | null;
  readonly onNext: () => void;
}

/** Sends readings, and keeps them in this browser until the server has them. */
function useSending(classId: string, signedInId: string, round: TogetherRound, { personId }: TogetherReader) {
  const queries = useQueryClient();
  const path = `/classes/${classId}/together/${round.id}/answers`;
  const { waiting } = useOutbox();
  const isWaiting = waiting.some(
    (entry) => entry.path === path && (entry.body as { personId?: unknown }).personId === personId,
  );
  const send = async (entry: string, eyeHeight: number): Promise<void> => {
    const { counts } = await outbox.post<TogetherTaken>({
      id: newId(),
      personId: signedInId,
      path,
      body: { personId, entry, eyeHeight },
      written: `${round.question} ${entry}`,
    });
    // What came after Stop stands beside what counts: the server says how.
    const withEntry = (one: TogetherReader): TogetherReader => (one.personId === personId ? { ...one, entry } : one);
    queries.setQueryData<TogetherNow | null>(
      ['together-now', classId],
      (now) => now && (counts ? { ...now, readers: now.readers.map(withEntry) } : now),
    );
    if (!counts) await queries.invalidateQueries({ queryKey: ['together-now', classId] });
  };
  return { isWaiting, send };
}

/** The tool as this reader sees it, with what helps to see it. */
function OwnPicture({
  picture,
  sight,
  loupe,
}: {
  readonly picture: Picture;
  readonly sight: Sight;
  readonly loupe: boolean;
}): ReactNode {
  const numerals = useNumerals();
  return (
    <div className="mx-auto w-full min-w-0 wide:max-w-[max(34rem,calc((100vh-13rem)*1.4))]">
      <ToolStage
        picture={picture}
        name={numerals(instrumentById(picture.instrumentId).name)}
        sight={sight}
        onRestEye={() => undefined}
        loupe={loupe}
      />
    </div>
  );
}

interface BesideProps extends ReaderProps {
  readonly sight: Sight | null;
  readonly children?: ReactNode;
}

function useAnswer(
  { classId, signedInId, round, reader }: ReaderProps,
  sight: Sight | null,
  input: RefObject<HTMLInputElement | null>,
) {
  const { isWaiting, send } = useSending(classId, signedInId, round, reader);
  const [text, setText] = useState('');
  const [trouble, setTrouble] = useState<string | null>(null);
  const [isChanging, setChanging] = useState(false);
  const check = (): void => {
    const read = readTogether(text, round.unit);
    if (typeof read === 'string') {
      setTrouble(read);
      input.current?.focus();
      return;
    }
    setTrouble(null);
    setChanging(false);
    send(text, sight?.seen().height ?? 0).catch((error: unknown) =>
      setTrouble(
        error instanceof RefusedError ? error.message : 'Your reading could not be sent. It is still in the field.',
      ),
    );
  };
  return { text, setText, trouble, isWaiting, isChanging, setChanging, check };
}

function Beside(props: BesideProps): ReactNode {
  const { round, reader, next, onNext, sight, cautions, children } = props;
  const numerals = useNumerals();
  const input = useRef<HTMLInputElement>(null);
  const { text, setText, trouble, isWaiting, isChanging, setChanging, check } = useAnswer(props, sight, input);
  const hasSent = (reader.entry !== null || isWaiting) && trouble === null;
  const writing = reader.picture ? writingOf(reader.picture.unitMark) : {};
  return (
    <section aria-label="The question" className="pb-4 wide:pt-1">
      <p className="typing:hidden text-small font-semibold text-muted">
        Read together{round.number > 1 ? `, reading ${round.number}` : ''}. {reader.name} reads.
      </p>
      <h1 className="typing:text-base mt-1 text-2xl font-bold">{numerals(round.question)}</h1>
      {round.kind === 'front' && <p className="mt-2">Look at the tool at the front, and write what it shows.</p>}
      {hasSent && !isChanging ? (
        <div className="mt-6" role="status">
          <p className="text-lg font-bold text-beam">
            {isWaiting ? 'Your reading is on its way.' : 'Your reading is in.'}
          </p>
          {next === null && <p className="mt-1 text-reading">{numerals(reader.entry ?? text)}</p>}
          <p className="mt-1 text-muted">
            {next === null
              ? 'You can change it until your teacher stops.'
              : `Hand over to ${next}. Your number is hidden.`}
          </p>
          <div className="mt-4 flex flex-wrap items-center gap-3">
            {next !== null && <Button onClick={onNext}>Next reader: {next}</Button>}
            <Button
              look={next === null ? 'plain' : 'quiet'}
              onClick={() => {
                setText(reader.entry ?? text);
                setChanging(true);
              }}
            >
              Change it
            </Button>
          </div>
        </div>
      ) : (
        <>
          <AnswerLine
            label="Your reading, with its unit"
            {...writing}
            entry={{ entry: text, write: setText, made: [], last: null, notChecked: false }}
            inputRef={input}
            onEnter={check}
          />
          {trouble !== null && (
            <p role="alert" className="mt-3 text-slip">
              {numerals(trouble)}
            </p>
          )}
          <div className="mt-4 flex flex-wrap items-center gap-3">
            <Button onClick={check}>Send</Button>
            {children}
          </div>
        </>
      )}
      {cautions.length > 0 && (
        <details className="typing:hidden mt-4 text-small">
          <summary className="min-h-8 cursor-pointer font-semibold text-doubt">Take care</summary>
          <ul className="mt-1 pl-4">
            {cautions.map((caution) => (
              <li key={caution}>{caution}</li>
            ))}
          </ul>
        </details>
      )}
    </section>
  );
}

function WithPicture({ picture, ...props }: ReaderProps & { readonly picture: Picture }): ReactNode {
  const view = viewOf(picture);
  const [sight] = useState(() => createSight(view.seenFirst(picture)));
  const [state] = useState<unknown>(() => view.begin(picture));
  const [loupe, setLoupe] = useState(false);
  const [inWords, setInWords] = useState(false);
  useShortcuts(useMemo(() => ({ l: () => setLoupe((on) => !on), d: () => setInWords((on) => !on) }), []));
  return (
    <div className="typing:pt-1 mx-auto grid w-full max-w-7xl grid-cols-1 gap-x-6 gap-y-2 px-4 pt-4 wide:grid-cols-[minmax(0,1fr)_24rem] wide:px-7">
      <OwnPicture picture={picture} sight={sight} loupe={loupe} />
      <div>
        <Beside {...props} sight={sight}>
          {view.hasLoupe && (
            <Button look="quiet" aria-pressed={loupe} onClick={() => setLoupe(!loupe)}>
              Loupe
            </Button>
          )}
          <Button look="quiet" aria-pressed={inWords} onClick={() => setInWords(!inWords)}>
            In words
          </Button>
        </Beside>
        {inWords && <p className="border-l-[3px] border-beam pl-4">{view.words({ picture, sight, state })}</p>}
      </div>
    </div>
  );
}

/** One reader’s own reading, while the class reads; mount it with the round’s and the reader’s id as key. */
export function Reader(props: ReaderProps): ReactNode {
  const { picture } = props.reader;
  if (picture) return <WithPicture {...props} picture={picture} />;
  return (
    <div className="mx-auto w-full max-w-2xl px-4 pt-6">
      <Beside {...props} sight={null} />
    </div>
  );
}
