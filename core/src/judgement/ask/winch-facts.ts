/** What a winch is said to pull: its mark, layer 1, and the maker's further rows. */
export const pullFacts = ['gear.marks', 'gear.layer2PullN', 'gear.layer3PullN', 'gear.layer4PullN', 'gear.layer5PullN'] as const;

/** And what it stalls at. */
export const stallFacts = [...pullFacts, 'gear.stallFactor'] as const;
