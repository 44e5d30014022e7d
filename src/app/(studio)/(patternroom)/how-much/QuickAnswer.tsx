'use client';

import dynamic from 'next/dynamic';
import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import { counted } from '@/core/units/counted';
import { judgePlan } from '@/core/plan/judgePlan';
import { initialValues } from '@/core/parameter/parameter';
import type { StoneSize } from '@/core/stone/stoneSize';
import type { WireSize } from '@/core/wire/wireSize';
import { FINDING_GROUPS } from '@/core/plan/findingGroups';
import { ringParameter } from '@/core/plan/reach';
import { readTexts, textsOf, type Texts } from '@/core/parameter/readTexts';
import type { Wrong } from '@/core/parameter/readValues';
import { fetchTechnique } from '@/core/techniques/fetchTechnique';
import { type AnyTechnique, type OfferedTechnique } from '@/core/technique/technique';
import { cutLengthOf, labelOf } from '@/core/plan/totals';
import { listed } from '@/core/units/listed';
import { formatToCut, mm, type LengthSystem } from '@/core/units/length';
import { formatGauge } from '@/core/wire/gauge';
import { METALS, type MetalId } from '@/core/wire/metal';
import { Judgements } from '@/ui/craft/Judgements';
import { TechniqueHelp } from '@/ui/craft/FieldHelp';
import { ParameterFields } from '@/ui/craft/ParameterFields';
import { NOT_FETCHED, useTechniques } from '@/ui/craft/useTechniques';
import { OpenFieldset } from '@/ui/form/OpenFieldset';
import { useLengths } from '@/ui/lengths';
import { useSettled } from '@/ui/useSettled';
import { Fold } from '@/ui/Fold';
import { Link } from '@/ui/Link';
import type { Pricing, Question } from './question';
import { TechniquePicker } from './TechniquePicker';
import { knownWires, WireStock } from './WireStock';
import { Said } from '@/ui/house';
import { useToast } from '@/ui/toasts';
import { WhenSeen } from '@/ui/WhenSeen';
import { OrderOfWork, Shown, type Answer } from './ShownAnswer';

/** What it costs stands below: it comes when it is seen. */
const Priced = dynamic(() => import('./Priced').then((loaded) => loaded.Priced), { ssr: false });
const StoneHanging = dynamic(() => import('@/ui/craft/StoneHanging').then((loaded) => loaded.StoneHanging), {
  ssr: false,
});
/** Only findings go into the drawer. */
const IntoTheDrawer = dynamic(() => import('./IntoTheDrawer').then((loaded) => loaded.IntoTheDrawer), {
  ssr: false,
});
/** What is asked backwards comes when its fold is opened. */
const WireReach = dynamic(() => import('./WireReach').then((loaded) => loaded.WireReach), { ssr: false });
const RingReach = dynamic(() => import('./RingReach').then((loaded) => loaded.RingReach), { ssr: false });

/** The texts of a technique, with what an address told of them. */
const startTexts = (technique: AnyTechnique, system: LengthSystem, told: Texts = {}): Texts => ({
  ...textsOf(technique.parameters, initialValues(technique.parameters), system),
  ...told,
});

function answerOf(
  technique: AnyTechnique,
  texts: Texts,
  system: LengthSystem,
): { readonly answer: Answer | undefined; readonly wrong: Wrong; readonly refusal: string } {
  const read = readTexts(technique.parameters, texts, system);
  if (!read.ok) return { answer: undefined, wrong: read.error, refusal: '' };
  const planned = technique.plan(read.value as never);
  if (!planned.ok) return { answer: undefined, wrong: {}, refusal: planned.error };
  return { answer: { technique, values: read.value, plan: planned.value }, wrong: {}, refusal: '' };
}

const addressOf = ({ technique, texts, metal }: Question): string =>
  new URLSearchParams({ of: technique.id, ...texts, metal }).toString();

/**
 * Keeps what is asked in the address, key by key. Past the router, which would look at the whole page again for each: what it keeps
 * of the page in the history is handed back as it was.
 */
function useAddress(question: Question, initial: Question): void {
  const { technique, texts, metal } = question;
  const isAsked = technique !== initial.technique || texts !== initial.texts || metal !== initial.metal;
  const address = addressOf(question);
  useEffect(() => {
    if (!isAsked) return;
    History.prototype.replaceState.call(window.history, window.history.state, '', `?${address}`);
  }, [isAsked, address]);
}

interface QuickAnswerProps {
  readonly initialId: string;
  readonly initialTexts: Texts;
  /** Techniques to choose from. */
  readonly offered: readonly OfferedTechnique[];
  readonly pricing: Pricing | null;
}

/** The lengths that a technique takes, while one types: nothing is saved, and the address keeps it all. */
export function QuickAnswer(props: QuickAnswerProps) {
  const technique = useTechniques([props.initialId])(props.initialId);
  return technique && <Answering {...props} first={technique} />;
}

/** Picks a technique, which is fetched first; of several picked in haste the last one counts. */
function usePicked(first: AnyTechnique, onFetched: (technique: AnyTechnique) => void) {
  const [picked, setPicked] = useState(first.id);
  const wanted = useRef(first.id);
  /** What is shown: when another cannot be fetched, it stays the chosen one. */
  const stands = useRef(first.id);
  const toast = useToast();
  const pick = useCallback(
    (id: string) => {
      wanted.current = id;
      setPicked(id);
      fetchTechnique(id).then(
        (technique) => {
          if (wanted.current !== id) return;
          stands.current = id;
          onFetched(technique);
        },
        () => {
          if (wanted.current === id) setPicked(stands.current);
          toast(NOT_FETCHED);
        },
      );
    },
    [onFetched, toast],
  );
  return { picked, pick };
}

function Answering({ first, initialTexts, offered, pricing }: QuickAnswerProps & { first: AnyTechnique }) {
  const { system } = useLengths();
  const [initial] = useState((): Question => {
    const told = METALS.find(({ id }) => id === initialTexts['metal']);
    return { technique: first, texts: startTexts(first, system, initialTexts), metal: told?.id ?? 'copper' };
  });
  const [question, setQuestion] = useState(initial);
  const [isShaping, setShaping] = useState(false);
  useAddress(question, initial);
  const { technique, texts, metal } = question;
  // What is typed is shown at once, what comes of it when the typing pauses.
  const typed = useSettled(question);
  const settled = typed.technique === technique && typed.metal === metal ? typed : question;
  const now = useMemo(() => answerOf(settled.technique, settled.texts, system), [settled, system]);
  const [kept, setKept] = useState(now.answer);
  if (now.answer && kept !== now.answer) setKept(now.answer);
  const shown = now.answer ?? (kept?.technique === settled.technique ? kept : undefined);

  const fill = useCallback(
    (more: Texts) => setQuestion((before) => ({ ...before, texts: { ...before.texts, ...more } })),
    [],
  );
  const { picked, pick } = usePicked(
    first,
    useCallback(
      (technique) =>
        setQuestion((before) => ({ ...before, technique, texts: startTexts(technique, system) })),
      [system],
    ),
  );
  const known = useMemo(
    () => knownWires(settled.technique.parameters, settled.texts, settled.metal),
    [settled],
  );
  const judgements = useMemo(
    () => (shown ? judgePlan(shown.technique, shown.values, shown.plan, known) : []),
    [shown, known],
  );
  const keys = Object.keys(technique.parameters);
  /** While a technique was just picked, what is shown is another's. */
  const own = shown?.technique === technique ? shown : undefined;

  return (
    <>
      <h1 aria-live="polite">{shown ? headline(shown, system) : 'How much wire does it take?'}</h1>
      <div className="mt-4 grid items-start gap-4 lg:grid-cols-[15rem_17rem_minmax(0,1fr)] print:block">
        <TechniquePicker techniques={offered} chosen={picked} onPick={pick} />
        <section aria-label="What it is made of" className="leaf no-print p-4">
          <OpenFieldset>
            <ParameterFields
              parameters={technique.parameters}
              texts={texts}
              wrong={settled.technique === technique ? now.wrong : {}}
              judgements={judgements}
              onChange={(field, text) => fill({ [field]: text })}
              onFill={fill}
            />
            {technique.parameters['stone']?.kind === 'stone' && own && (
              <WhenSeen className="h-24">
                <StoneHanging stone={own.values['stone'] as StoneSize} />
              </WhenSeen>
            )}
            {ringParameter(technique) !== undefined && own && (
              <div className="mt-3">
                <RingReach technique={technique} values={own.values} />
              </div>
            )}
            {own && (
              <Fold title="What a wire in hand makes">
                <WhenSeen className="h-40">
                  <WireReach
                    key={technique.id}
                    technique={technique}
                    values={own.values}
                    cuts={own.plan.cuts}
                  />
                </WhenSeen>
              </Fold>
            )}
            <label className="mt-3 block text-sm font-semibold">
              Metal
              <select
                className="select w-full text-base font-normal"
                value={metal}
                onChange={({ target: { value } }) =>
                  setQuestion((before) => ({ ...before, metal: value as MetalId }))
                }
              >
                {METALS.map(({ id, name }) => (
                  <option key={id} value={id}>
                    {name}
                  </option>
                ))}
              </select>
            </label>
            <TechniqueHelp parameters={technique.parameters} source={technique.source} />
            <WireStock
              parameters={technique.parameters}
              texts={texts}
              onChange={(field, text) => fill({ [field]: text })}
            />
          </OpenFieldset>
        </section>
        <div className={`min-w-0 space-y-4 ${now.answer ? '' : 'opacity-60'}`}>
          {now.refusal && (
            <p role="alert" className="border-l-4 border-error bg-error/10 p-3 font-semibold">
              <Said>{now.refusal}</Said>
            </p>
          )}
          {shown && (
            <Shown
              answer={shown}
              texts={settled.texts}
              metal={settled.metal}
              known={known}
              isShaping={isShaping}
              setShaping={setShaping}
              onShape={fill}
            />
          )}
          {now.answer && FINDING_GROUPS.includes(now.answer.technique.group) && (
            <IntoTheDrawer {...now.answer} texts={settled.texts} />
          )}
          {pricing && now.answer && (
            <>
              <WhenSeen className="no-print h-40">
                <Priced question={settled} {...pricing} />
              </WhenSeen>
              <Link href={`/patterns/compose?${addressOf(settled)}`} className="btn no-print">
                Keep it as a pattern
              </Link>
            </>
          )}
          {shown && <OrderOfWork plan={shown.plan} />}
          <Judgements of={judgements.filter(({ about }) => !keys.includes(about))} />
        </div>
      </div>
    </>
  );
}

/** "3 × 8 1/4 in of 20 ga and 20 3/8 in of 28 ga", as it is cut: cuts of one length and size together, whatever becomes of them. */
function headline({ plan, values }: Answer, system: LengthSystem): string {
  const MOST_SAID = 3;
  const counts = new Map<string, number>();
  for (const cut of plan.cuts) {
    const { width } = values[cut.wire] as WireSize;
    const said = `${formatToCut(cutLengthOf(cut), system)} of ${formatGauge(labelOf(mm(width)))}`;
    counts.set(said, (counts.get(said) ?? 0) + cut.count);
  }
  const cuts = [...counts].map(([said, count]) => (count > 1 ? `${count} × ${said}` : said));
  const more = cuts.length - MOST_SAID;
  const all = more > 0 ? [...cuts.slice(0, MOST_SAID), counted(more, 'more cut')] : cuts;
  return listed(all);
}
