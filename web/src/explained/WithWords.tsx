import { wordParts } from '@wainrope/core';
import { Link } from 'react-router';

/** A text whose words of the trade lead to what they mean. */
export const WithWords = ({ text }: { readonly text: string }) =>
  wordParts(text).map(({ text: words, wordId }, index) =>
    wordId === undefined ? (
      words
    ) : (
      <Link key={`${wordId} ${index + 1}`} to={`/words#${wordId}`} className="word-link">
        {words}
      </Link>
    ),
  );
