import type { ImportPreview, ImportQuestion } from '@wainrope/contract';
import { registerColumns } from '@wainrope/contract';
import { type GearClass, gearClasses, gearClassNames, gearStates, grades } from '@wainrope/core';
import type { ReactNode } from 'react';
import { SearchChoice } from '../../fields/SearchChoice.tsx';
import { stateWords } from '../../register/gear-words.ts';

interface QuestionsProps {
  readonly preview: ImportPreview;
  readonly answer: (question: ImportQuestion, answer: string) => void;
}

/** What the file leaves open, each asked once for all the rows in which it stands. */
export function Questions({ preview, answer }: QuestionsProps) {
  const { questions } = preview;
  if (questions.length === 0) return null;
  const waiting = questions.filter(({ optional }) => !optional);
  return (
    <section aria-labelledby="import-questions" className="mt-5">
      <h2 id="import-questions" className="text-xl">
        {waiting.length > 0 ? 'Answer these first' : 'You may also answer'}
      </h2>
      <ul className="border-t-2 border-ink">
        {questions.map((question) => (
          <li
            key={`${question.about} ${question.word}`}
            className={`grid items-center gap-x-5 gap-y-2 border-b border-rule py-2 sm:grid-cols-[1fr_20rem] ${question.optional ? '' : 'border-l-4 border-l-signal pl-3'}`}
          >
            <div>
              {asked(question, preview)}
              <span className="block text-quiet">
                {question.rows} {question.rows === 1 ? 'row' : 'rows'}
                {question.about === 'day-order' || question.about === 'unit' ? '' : `: ${question.examples.join(', ')}`}
                {question.optional && '. Left open, the words go into the note and no inspection counts.'}
              </span>
            </div>
            <Answer question={question} answer={(given) => answer(question, given)} />
          </li>
        ))}
      </ul>
    </section>
  );
}

const columnLabel = (column: string): string => registerColumns.find(({ key }) => key === column)?.label ?? column;

function asked({ about, word }: ImportQuestion, { columns }: ImportPreview): ReactNode {
  const quoted = <strong>“{word}”</strong>;
  switch (about) {
    case 'class':
      return <>What is {quoted}?</>;
    case 'state':
      return <>{quoted}: may it be used?</>;
    case 'grade':
      return <>What grade is {quoted}?</>;
    case 'unit':
      return (
        <>
          The figures under <strong>“{columns.find(({ column }) => column === word)?.heading ?? columnLabel(word)}”</strong> have no unit.
        </>
      );
    case 'day-order':
      return <>{quoted} and dates like it: which comes first?</>;
    default: {
      const never: never = about;
      return never;
    }
  }
}

const FORCES = ['t', 'kg', 'kN', 'lb', 'short tons', 'long tons'];
const LENGTHS = ['m', 'cm', 'mm', 'ft', 'in'];
const MASSES = ['kg', 'lb'];

/** Units that the figures of a column can have. */
function unitsOf(column: string): readonly string[] {
  const type = registerColumns.find(({ key }) => key === column)?.attribute?.field.type;
  if (type === 'mass') return MASSES;
  return column === 'diameter' || type === 'length' || type === 'small-length' ? LENGTHS : FORCES;
}

/** Every class, the likeliest first. */
function classesFrom(first: readonly string[]): readonly GearClass[] {
  const likely = gearClassNames.filter((kind) => first.includes(kind));
  return [...likely, ...gearClassNames.filter((kind) => !likely.includes(kind))];
}

/** What is answered, and how it is said. */
interface Answered {
  readonly value: string;
  readonly words: string;
}

const ORDERS = [
  { value: 'day-first', words: 'The day' },
  { value: 'month-first', words: 'The month' },
];
const GRADE_CHOICES = [
  ...grades.map((grade) => ({ value: grade as string, words: `Grade ${grade}` })),
  { value: '', words: 'None: note only' },
];
const STATE_CHOICES = gearStates.map((state) => ({ value: state as string, words: stateWords[state] }));

/** The few answers that a question has; classes are too many for buttons. */
function fewAnswers({ about, word }: ImportQuestion): readonly Answered[] {
  if (about === 'day-order') return ORDERS;
  if (about === 'grade') return GRADE_CHOICES;
  if (about === 'state') return STATE_CHOICES;
  return about === 'unit' ? unitsOf(word).map((unit) => ({ value: unit, words: unit })) : [];
}

function Answer({ question, answer }: { readonly question: ImportQuestion; readonly answer: (given: string) => void }) {
  if (question.about === 'class')
    return (
      <SearchChoice
        label={`What “${question.word}” is`}
        labelIsHidden
        value=""
        options={classesFrom(question.choices)}
        words={(kind) => gearClasses[kind].label}
        onChange={answer}
        placeholder="Choose a class …"
      />
    );
  return (
    <div className="flex flex-wrap gap-2">
      {fewAnswers(question).map(({ value, words }) => (
        <button key={value} type="button" className="action" onClick={() => answer(value)}>
          {words}
        </button>
      ))}
    </div>
  );
}
