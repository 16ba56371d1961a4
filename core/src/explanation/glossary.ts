/** A word of the trade, or of this program, and what it means here. */
export interface GlossaryEntry {
  /** Letters and dashes, for a link to it. */
  readonly id: string;
  readonly word: string;
  readonly meaning: string;
}

/** The words that screens, findings, the card and the documents use, each for one thing, in alphabetical order. */
export const glossary: readonly GlossaryEntry[] = [
  { id: 'advantage', word: 'Advantage', meaning: 'How much pull arrives at the load for each newton at the drive, friction counted.' },
  { id: 'anchor-leg', word: 'Anchor leg', meaning: 'The last leg of a line that ends at an anchor of its own.' },
  {
    id: 'back-anchor',
    word: 'Back-anchor',
    meaning: 'What ties the winching vehicle to something behind it, so that it does not slide towards the load.',
  },
  {
    id: 'basis',
    word: 'Basis of a mark',
    meaning: 'What the number on a tag stands for: working load limit, breaking strength, proof load or rated pull.',
  },
  { id: 'basket', word: 'Basket', meaning: 'A strap laid round a tree with both eyes joined in front, so that two legs share the load.' },
  { id: 'bridle', word: 'Bridle', meaning: 'Two legs that share a pull between two points of one vehicle.' },
  { id: 'caution', word: 'Caution', meaning: 'A finding to keep in mind. It makes a verdict Watch and stops nothing.' },
  {
    id: 'choked',
    word: 'Choked',
    meaning: 'A strap drawn through its own eye. It bites on itself and keeps less of its strength than a basket.',
  },
  {
    id: 'clear',
    word: 'Clear',
    meaning:
      'A verdict: nothing was found against the rig but notes, and no question that matters is open. It promises nothing beyond that.',
  },
  {
    id: 'clear-judged',
    word: 'Clear, judged',
    meaning: 'Clear, but the weakest of it rests on a figure that somebody judged by eye.',
  },
  {
    id: 'condition',
    word: 'Condition',
    meaning: 'The grade of the last inspection, A to D, which lowers what a piece may carry. D is out of use.',
  },
  { id: 'damper', word: 'Damper', meaning: 'A weight hung on a tensioned leg that drags a broken line to the ground.' },
  {
    id: 'danger-zone',
    word: 'Danger zone',
    meaning:
      'Where a line or a piece may fly when something parts: round every end and pulley, beside every strand, and inside every bend.',
  },
  { id: 'design-factor', word: 'Design factor', meaning: 'By what a breaking strength is divided to get a working limit.' },
  { id: 'fix', word: 'Fix', meaning: 'A finding to put right first, or to answer for by name. It makes a verdict Watch.' },
  { id: 'greatest-pull', word: 'Greatest pull', meaning: 'The most that a drive can give before it stalls, whatever was planned.' },
  { id: 'grip', word: 'Grip', meaning: 'A hitch or loop that holds on to a rope anywhere along it.' },
  { id: 'lanyard', word: 'Safety lanyard', meaning: 'A slack rope that catches a piece of hardware when the line parts.' },
  {
    id: 'layer',
    word: 'Layer',
    meaning: 'A winding of rope over the whole drum. A winch pulls most on the first and less on each one above it.',
  },
  { id: 'leg', word: 'Leg', meaning: 'A straight stretch of line between two bends or ends.' },
  { id: 'line-pull', word: 'Line pull', meaning: 'The tension at the drive: what the winch or the hands give.' },
  { id: 'line-pull-limit', word: 'Line-pull limit', meaning: 'The most line pull at which every piece stays within its working limit.' },
  { id: 'load-leg', word: 'Load leg', meaning: 'The last leg of a line that ends at the load.' },
  {
    id: 'load-path',
    word: 'Load path',
    meaning: 'The rig drawn out straight from the drum to the load, every piece with what it carries against what it may carry.',
  },
  { id: 'mbs', word: 'MBS', meaning: 'Minimum breaking strength: what the maker says a new piece holds at least before it breaks.' },
  { id: 'note', word: 'Note', meaning: 'A finding that tells something. It changes no verdict.' },
  {
    id: 'planned-pull',
    word: 'Planned pull',
    meaning: 'The pull that the load asks for by the estimate, or by a figure that somebody put in its place.',
  },
  { id: 'quarantine', word: 'Quarantine', meaning: 'Out of use until a full inspection returns the piece, everywhere at once.' },
  {
    id: 'question',
    word: 'Question',
    meaning:
      'Something the program cannot know. Until somebody answers it, a question about anything graver than a note keeps the verdict from Clear.',
  },
  { id: 'rated-pull', word: 'Rated pull', meaning: 'What a winch gives on the first layer of rope, as marked.' },
  { id: 'redirect', word: 'Redirect', meaning: 'A pulley that turns the line without adding pull at the load.' },
  { id: 'return-leg', word: 'Return leg', meaning: 'The last leg of a line that comes back to the vehicle it started from.' },
  { id: 'rig', word: 'Rig', meaning: 'Everything between what pulls and what is pulled, with the ground and the people around it.' },
  { id: 'run-up', word: 'Run-up', meaning: 'Slack laid back and taken up by driving, so that a stretch rope comes tight with speed.' },
  {
    id: 'school',
    word: 'School',
    meaning: 'One of several ways in which practitioners do or reckon the same thing. The team’s settings choose.',
  },
  { id: 'stop', word: 'Stop', meaning: 'A verdict and a finding: do not tension this rig as it stands.' },
  { id: 'strand', word: 'Strand', meaning: 'A stretch of line between two stops, as figures and files count it. In speech, a leg.' },
  {
    id: 'stretch-rope',
    word: 'Stretch rope',
    meaning: 'A rope made to stretch and give its energy back, for a pull with a run-up. Never in a winch rig.',
  },
  { id: 'verdict', word: 'Verdict', meaning: 'Clear, Watch or Stop, by the gravest of all findings. Nobody types it in.' },
  {
    id: 'watch',
    word: 'Watch',
    meaning: 'A verdict: nothing forbids the pull, but something has to be put right, answered or kept in mind.',
  },
  { id: 'winch-leg', word: 'Winch leg', meaning: 'The first leg of a line, from the drum to its first bend or its end.' },
  { id: 'wll', word: 'WLL', meaning: 'Working load limit: what the maker allows a new piece to carry in use.' },
  {
    id: 'working-limit',
    word: 'Working limit',
    meaning:
      'What a piece may carry here and now: the lower of its marked limit and its breaking strength ÷ the team’s design factor, unless the team goes by marked limits alone; less for its condition and for how it is used.',
  },
  { id: 'wraps', word: 'Wraps to leave', meaning: 'Turns of line that must stay on the drum. They hold the line; its fixing does not.' },
];
