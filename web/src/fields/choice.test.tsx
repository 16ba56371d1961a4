import { cleanup, render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { choose, offeredBy } from '../testing/choose.ts';
import { Choice } from './Choice.tsx';
import { named } from './named.ts';

afterEach(cleanup);

const letters = (count: number) => [...'abcdefghij'].slice(0, count);
const put = (count: number, more: Partial<Parameters<typeof Choice<string>>[0]> = {}) => {
  const onChange = vi.fn<(value: string) => void>();
  render(
    <Choice label="Which" value="a" options={letters(count)} words={(letter) => `the letter ${letter}`} onChange={onChange} {...more} />,
  );
  return { onChange, user: userEvent.setup() };
};

describe('a choice', () => {
  it.each([
    [6, 'BUTTON'],
    [7, 'BUTTON'],
    [8, 'INPUT'],
  ])('of %i is %s: a list of up to seven, beyond that a search', (count, tag) => {
    put(count);
    expect(screen.getByLabelText('Which').tagName).toBe(tag);
  });
  it.each([3, 9])('of %i gives back what is chosen by its words', async (count) => {
    const { user, onChange } = put(count);
    await choose(user, 'Which', 'the letter c');
    expect(onChange.mock.calls).toEqual([['c']]);
  });
  it('of many is found by parts of its words in any order, and says where nothing fits', async () => {
    const { user } = put(10);
    await user.click(screen.getByLabelText('Which'));
    await user.keyboard('e letter');
    expect(screen.getAllByRole('option').map(({ textContent }) => textContent)).toContain('the letter e');
    await user.keyboard('{Control>}a{/Control}zz');
    expect(screen.getByText('Nothing here matches.')).toBeTruthy();
  });
  it.each([3, 9])('of %i keeps what was chosen where nothing else is', async (count) => {
    const { user, onChange } = put(count);
    await offeredBy(user, 'Which');
    expect(onChange).not.toHaveBeenCalled();
  });
  it.each([3, 9])('of %i does not give what is off', async (count) => {
    const { user, onChange } = put(count, { isOff: (letter) => letter === 'b' });
    await choose(user, 'Which', 'the letter b');
    expect(onChange).not.toHaveBeenCalled();
  });
  it('says what is wrong with it, and what stands there while nothing is chosen', () => {
    put(3, { value: '', fault: 'Choose a letter.', placeholder: 'none yet' });
    expect(screen.getByText('Choose a letter.')).toBeTruthy();
    expect(screen.getByLabelText('Which').textContent).toBe('none yet');
    expect(screen.getByLabelText('Which').getAttribute('aria-invalid')).toBe('true');
  });
});

describe('things by their names', () => {
  it('can be none of them, which stands first', () => {
    const { options, words } = named([['k-1', 'Bog bag']], 'in no kit');
    expect(options).toEqual(['', 'k-1']);
    expect(options.map(words)).toEqual(['in no kit', 'Bog bag']);
    expect(named([['k-1', 'Bog bag']]).options).toEqual(['k-1']);
  });
});
