'use client';

import { Said } from '@/ui/house';
import type { Question } from '@/studio/lists/questions';
import { Field, TextInput } from '@/ui/form/Field';
import { useKeptTexts } from '@/ui/form/useKeptTexts';

interface ImportQuestionsProps {
  readonly questions: readonly Question[];
  readonly onAnswer: (answers: { question: string; answer: string }[]) => void;
}

/** What only the maker knows about a file: each asked once, for all rows that wait for it. */
export function ImportQuestions({ questions, onAnswer }: ImportQuestionsProps) {
  const { texts: answers, type } = useKeptTexts('answers');
  const asked = new Set(questions.map(({ id }) => id));
  const given = Object.entries(answers).filter(([id, answer]) => asked.has(id) && answer.trim() !== '');
  return (
    <section className="leaf mt-4 p-4" aria-label="Questions about the file">
      <h2>
        {questions.length} {questions.length === 1 ? 'question' : 'questions'} about this file
      </h2>
      <div className="mt-2 grid gap-3 sm:grid-cols-2">
        {questions.map(({ id, asks, choices, example, rows }) => (
          <Field
            key={id}
            label={asks}
            hint={
              <Said>{`${rows.toLocaleString('en-US')} ${rows === 1 ? 'row waits' : 'rows wait'} for it`}</Said>
            }
          >
            {(ties) =>
              choices.length > 0 ? (
                <select
                  {...ties}
                  className="select w-full text-base"
                  value={answers[id] ?? ''}
                  onChange={({ target: { value } }) => type(id, value)}
                >
                  <option value="">Choose …</option>
                  {choices.map(({ value, text }) => (
                    <option key={value} value={value}>
                      {text}
                    </option>
                  ))}
                </select>
              ) : (
                <TextInput
                  {...ties}
                  placeholder={example}
                  value={answers[id] ?? ''}
                  onChange={({ target: { value } }) => type(id, value)}
                />
              )
            }
          </Field>
        ))}
      </div>
      <button
        type="button"
        className="btn btn-primary mt-4"
        disabled={given.length === 0}
        onClick={() => onAnswer(given.map(([question, answer]) => ({ question, answer })))}
      >
        Read it with these answers
      </button>
    </section>
  );
}
