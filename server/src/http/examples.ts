import type { InspectionSheet } from '@wainrope/core';
import { standardSheets, teamStandard } from '@wainrope/core';

/** A request as somebody would send it. In this order they tell one story: what one makes, a later one names. */
export interface Example {
  readonly operation: string;
  /** In the path and behind the question mark. */
  readonly parameters?: { readonly [name: string]: string };
  readonly body?: object;
  /** What is sent as a file, where the body is one. */
  readonly file?: string;
}

const PERSON = '3b0f2a6e-5c7d-4f57-9a52-0c1f6b7a9e01';
const ANOTHER = '3b0f2a6e-5c7d-4f57-9a52-0c1f6b7a9e02';
const VEHICLE = '6a1d9c04-2f0b-4d43-8c1e-7e5a4b3c2d01';
const KIT = '7c2e0d15-3a1c-4e54-9d2f-8f6b5c4d3e01';
const STRAP = '8d3f1e26-4b2d-4f65-8e30-907c6d5e4f01';
const OTHER_STRAP = '8d3f1e26-4b2d-4f65-8e30-907c6d5e4f02';
const OUTING = '9e402f37-5c3e-4076-9f41-a18d7e6f5a01';
const INSPECTION = 'af513048-6d4f-4187-8052-b29e8f7a6b01';
const ROUND = '3b1d5c1e-2f7a-4d0b-9a55-0c6d1f6f7e21';
const DEVICE = 'a4f2f0f6-3d55-4d0c-8a43-5a3d1b8c7f02';
const OTHER_DEVICE = 'c2b7e9d4-18a6-4f0e-b1cb-9e2f4d7a6b13';
const PHOTO = 'b0624159-7e50-4298-9163-c3af908b7c01';
const PLAN = 'c173526a-8f61-43a9-a274-d4b0a19c8d01';
const LINE = '8d3f1e26-4b2d-4f65-8e30-907c6d5e4f09';
const INCIDENT = 'f4a86591-b294-46dc-95a7-07e3d4cf9e01';
const SERIES = 'e3957480-a183-45cb-8496-f6d2c3be9e01';
const OWN_FIGURE = { surface: 'bog', depth: 'sills', machine: 'Larch' };
const LAYOUT = 'd284637b-9072-44ba-b385-e5c1b2ad9e01';

/** What only an earlier answer tells, as it stands in the document. */
export const TOLD = {
  token: 'the-part-of-the-link-behind-the-hash-sign',
  person: '00000000-0000-4000-8000-000000000001',
  defect: '00000000-0000-4000-8000-000000000002',
  finding: 'the id of a finding of the plan',
  baseHash: 'contentHash of the settings in force',
} as const;

const RIG = {
  ground: { slopeRad: 0, uphillRad: 0 },
  bodies: [
    {
      id: 'vehicle',
      kind: 'vehicle',
      label: 'Dunlin',
      xM: 0,
      yM: 0,
      headingRad: 0,
      massKg: 2400,
      lengthM: 4.4,
      widthM: 1.8,
    },
    {
      id: 'oak',
      kind: 'tree',
      label: 'Oak',
      state: 'live',
      leanRad: 0,
      xM: 14,
      yM: 1,
      trunkDiameterM: 0.5,
      wood: 'hardwood',
      footing: 'firm',
    },
  ],
  points: [],
  chains: [],
  lines: [],
  load: { bodyId: 'vehicle', travel: 'ahead', travelM: 5 },
  situation: {
    surface: 'shallow-mud',
    depth: 'hubs',
    soil: 'loam',
    wet: true,
    lockedShare: 0,
    drivelineLocked: false,
    wheelsTurned: false,
  },
  dampers: [],
  answers: {},
};
/** The same with a rope between the two and nothing chosen for it: the strap, the shackle, the drum are open questions. */
const HELD_RIG = {
  ...RIG,
  points: [
    { id: 'fairlead', bodyId: 'vehicle', label: 'Fairlead', place: { kind: 'on-vehicle', forwardM: 2.1, leftM: 0, heightM: 0.7 } },
    { id: 'trunk', bodyId: 'oak', label: 'Low on the trunk', place: { kind: 'on-trunk', heightM: 0.4 } },
  ],
  chains: [{ id: 'anchor', from: { kind: 'point', pointId: 'trunk' }, pieces: [{ id: 'strap', role: 'tree-strap' }] }],
  lines: [
    {
      id: 'line',
      drive: { kind: 'winch', pointId: 'fairlead', use: { id: 'winch', role: 'winch' } },
      ropes: [{ id: 'rope', role: 'winch-line' }],
      via: [],
      to: { kind: 'chain', chainId: 'anchor' },
    },
  ],
};

const MARKS = [{ asWritten: 'MBS 9 t', source: 'label' }];
const STRAP_BODY = {
  tag: 'TS-90',
  kind: 'tree-strap',
  name: 'Tree strap 2.4 m',
  state: 'in-use',
  marks: MARKS,
  attributes: { lengthM: 2.4, widthM: 0.06 },
  overloadsSinceInspection: 0,
};
const FILE = {
  fileName: 'straps.csv',
  contentBase64: Buffer.from('tag,class,name,length,mark\nTS-91,tree-strap,Tree strap 3 m,3 m,WLL 2 t\n').toString('base64'),
};
const SHEET: InspectionSheet = standardSheets['tree-strap'];
const [failing = ''] = SHEET.points.map(({ id }) => id);
const ANSWERS = { points: Object.fromEntries(SHEET.points.map(({ id }) => [id, 'ok'])), measures: {}, notes: {} };
/** A picture of sixteen by twelve pixels. */
const PICTURE =
  '/9j/2wBDAAoHBwgHBgoICAgLCgoLDhgQDg0NDh0VFhEYIx8lJCIfIiEmKzcvJik0KSEiMEExNDk7Pj4+JS5ESUM8SDc9Pjv/2wBDAQoLCw4NDhwQEBw7KCIoOzs7Ozs7Ozs7Ozs7Ozs7Ozs7Ozs7Ozs7Ozs7Ozs7Ozs7Ozs7Ozs7Ozs7Ozs7Ozs7Ozv/wAARCAAMABADASIAAhEBAxEB/8QAFQABAQAAAAAAAAAAAAAAAAAAAAX/xAAUEAEAAAAAAAAAAAAAAAAAAAAA/8QAFAEBAAAAAAAAAAAAAAAAAAAABP/EABQRAQAAAAAAAAAAAAAAAAAAAAD/2gAMAwEAAhEDEQA/AJoAYr//2Q==';
const POLICY = {
  ...teamStandard,
  winch: { ...teamStandard.winch, reserveWrapsSynthetic: { value: 12, source: 'What the team has decided' } },
};
const PASSWORD = 'peat and heather';

export const examples: readonly Example[] = [
  { operation: 'getSession' },
  { operation: 'signInToDemo', body: { personId: TOLD.person } },
  { operation: 'getTeam' },
  { operation: 'streamEvents' },
  { operation: 'listPeople' },
  { operation: 'addPerson', body: { personId: PERSON, name: 'Wren Holloway', role: 'gear-keeper' } },
  { operation: 'addPerson', body: { personId: ANOTHER, name: 'Corin Thackeray', role: 'member' } },
  { operation: 'getPerson', parameters: { personId: PERSON } },
  { operation: 'setIfHurt', body: { call: 'Valley rescue desk, channel 4' } },
  {
    operation: 'changePerson',
    parameters: { personId: PERSON },
    body: { name: 'Wren Holloway', role: 'coordinator', left: false, firstAider: true },
  },
  {
    operation: 'addPractice',
    parameters: { personId: PERSON },
    body: {
      practiceId: 'e395748c-a183-45cb-8496-f6d2c3beaf01',
      layout: 'straight',
      on: '2026-01-10',
      seenBy: ANOTHER,
      note: 'In the quarry, in rain.',
    },
  },
  {
    operation: 'addVehicle',
    body: { vehicleId: VEHICLE, name: 'Dunlin', model: 'Long-bed 4 × 4', massKg: 2400, lengthM: 4.4, widthM: 1.8 },
  },
  { operation: 'listVehicles' },
  {
    operation: 'changeVehicle',
    parameters: { vehicleId: VEHICLE },
    body: { name: 'Dunlin', model: 'Long-bed 4 × 4', massKg: 2450, lengthM: 4.4, widthM: 1.8, rowVersion: 1 },
  },
  {
    operation: 'writeHookUp',
    body: {
      entryId: 'f4a6859d-b294-46dc-95a7-07e3d4cfb001',
      model: 'Long-bed 4 × 4',
      kind: 'used',
      place: 'Rear cross-member, left eye',
      forwardM: -2.1,
      leftM: 0.4,
      heightM: 0.6,
      loadN: 22_000,
    },
  },
  { operation: 'getHookUpBook' },
  {
    operation: 'addKit',
    body: { kitId: KIT, name: 'Forest kit', terrain: 'woods', wanted: [{ kind: 'tree-strap', count: 2, leastWllN: 19_600 }] },
  },
  { operation: 'listKits' },
  {
    operation: 'changeKit',
    parameters: { kitId: KIT },
    body: { name: 'Forest kit', terrain: 'woods', vehicleId: VEHICLE, wanted: [{ kind: 'tree-strap', count: 1 }], rowVersion: 1 },
  },
  { operation: 'createGear', body: { gearId: STRAP, ...STRAP_BODY } },
  { operation: 'createGear', body: { gearId: OTHER_STRAP, ...STRAP_BODY, tag: 'TS-92' } },
  { operation: 'listGear', parameters: { limit: '50' } },
  { operation: 'listGearPages', parameters: { after: 'SH-01', limit: '50' } },
  { operation: 'getGear', parameters: { gearId: STRAP } },
  { operation: 'changeGear', parameters: { gearId: STRAP }, body: { ...STRAP_BODY, note: 'A gift.', rowVersion: 1 } },
  { operation: 'moveContents', parameters: { kitId: KIT }, body: { add: [STRAP], remove: [] } },
  { operation: 'previewImport', parameters: { task: '05b796ae-c3a5-47ed-a6b8-18f4e5d0c101' }, body: FILE },
  { operation: 'importGear', body: { ...FILE, rows: [2] } },
  { operation: 'exportGear' },
  {
    operation: 'checkOut',
    body: {
      outingId: OUTING,
      name: 'Training in the quarry',
      holderKind: 'person',
      holderId: PERSON,
      dueBackOn: '2026-01-20',
      gearIds: [OTHER_STRAP],
    },
  },
  { operation: 'addToOuting', parameters: { outingId: OUTING }, body: { gearIds: [STRAP] } },
  { operation: 'listOutings' },
  { operation: 'getOuting', parameters: { outingId: OUTING } },
  { operation: 'countBack', parameters: { outingId: OUTING }, body: { gearIds: [STRAP, OTHER_STRAP] } },
  { operation: 'closeOuting', parameters: { outingId: OUTING }, body: {} },
  { operation: 'listSheets' },
  {
    operation: 'saveSheet',
    parameters: { gearClass: 'tree-strap' },
    body: { baseVersion: 0, sheet: SHEET, reason: 'As the standard has it, and ours from now on.' },
  },
  {
    operation: 'addInspection',
    body: {
      inspectionId: INSPECTION,
      gearId: STRAP,
      kind: 'on-receipt',
      on: '2026-01-15',
      sheetVersion: 1,
      answers: { ...ANSWERS, points: { ...ANSWERS.points, [failing]: 'worn' }, notes: { [failing]: 'Fuzzy along one edge.' } },
      grade: 'C',
      nextDue: '2026-04-15',
    },
  },
  { operation: 'listInspections', parameters: { gearId: STRAP, limit: '20' } },
  { operation: 'getInspection', parameters: { inspectionId: INSPECTION } },
  {
    operation: 'addPhoto',
    body: { photoId: PHOTO, subjectId: INSPECTION, subjectKind: 'inspection', contentBase64: PICTURE, thumbnailBase64: PICTURE },
  },
  { operation: 'getPhoto', parameters: { photoId: PHOTO } },
  { operation: 'getThumbnail', parameters: { photoId: PHOTO } },
  {
    operation: 'addExposure',
    parameters: { gearId: STRAP },
    body: { exposureId: '16c8a7bf-d4b6-48fe-b7c9-2905f6e1d201', kind: 'mud', on: '2026-01-15', note: 'Trodden in at the ford.' },
  },
  {
    operation: 'addLoad',
    body: {
      recordId: 'e5b1c9d2-7a40-4c57-8f63-1d2e3f4a5b61',
      gearId: STRAP,
      on: '2026-01-15',
      plannedN: 12_000,
      greatestN: 21_000,
      pulls: 1,
      place: 'Round the larch, bog below the quarry',
    },
  },
  { operation: 'listLoads', parameters: { gearId: STRAP, limit: '20' } },
  {
    operation: 'correctCounter',
    parameters: { gearId: STRAP },
    body: { counter: 'overloads', value: 1, reason: 'The last pull was over its limit; nobody had noted it.' },
  },
  {
    operation: 'keepRound',
    parameters: { roundId: ROUND },
    body: {
      title: 'All due this week or overdue',
      kind: 'calendar',
      gearIds: [STRAP],
      begunAt: '2026-01-15T09:30:00.000Z',
      deviceId: DEVICE,
      confirmed: [],
      drafts: [
        {
          inspectionId: '7f0f4c0e-6f0f-4dc2-9be0-5f4b4b6d9a11',
          gearId: STRAP,
          on: '2026-01-15',
          changedAt: 1_768_469_400_000,
          answers: {
            points: { [failing]: 'worn' },
            measures: {},
            notes: {},
            nextDue: '',
            note: 'Half done when the rain came',
            returnsToUse: false,
            spoolState: '',
            pullsUsed: '',
          },
        },
      ],
    },
  },
  { operation: 'listRounds' },
  { operation: 'takeRoundOver', parameters: { roundId: ROUND }, body: { deviceId: OTHER_DEVICE } },
  { operation: 'putRoundAway', parameters: { roundId: ROUND, deviceId: OTHER_DEVICE } },
  {
    operation: 'addIncident',
    body: {
      incidentId: INCIDENT,
      on: '2026-01-15',
      kind: 'near-miss',
      words: 'The strap slid up the trunk as the line came tight; nobody stood near.',
      place: 'The ford below the quarry',
      told: 'The owner of the vehicle',
      pieces: [{ gearId: OTHER_STRAP, takenOut: false }],
    },
  },
  {
    operation: 'addFollowUp',
    parameters: { incidentId: INCIDENT },
    body: {
      followUpId: 'f4a86591-b294-46dc-95a7-07e3d4cf9e02',
      words: 'Straps go on below knee height, and one looks at them again at first tension.',
    },
  },
  { operation: 'getIncident', parameters: { incidentId: INCIDENT } },
  { operation: 'listIncidents', parameters: { gearId: OTHER_STRAP } },
  {
    operation: 'addBreakTest',
    body: {
      testId: 'a5b97602-c3a5-47ed-86b8-18f4e5d0af01',
      on: '2026-01-10',
      kind: 'tree-strap',
      maker: 'Dolmoor Cordage',
      batch: 'K-1187',
      loadN: 84_300,
      failedFirst: 'Stitching of one eye',
    },
  },
  { operation: 'listBreakTests', parameters: { gearId: STRAP } },
  {
    operation: 'createGear',
    body: {
      gearId: LINE,
      tag: 'WL-90',
      kind: 'winch-line-synthetic',
      name: 'Spare winch line',
      state: 'in-use',
      marks: [{ asWritten: 'MBS 9 t', source: 'label' }],
      attributes: { lengthM: 28, ropeDiameterM: 0.01, endMarkM: 22 },
      overloadsSinceInspection: 0,
    },
  },
  {
    operation: 'addDiaryEntry',
    parameters: { gearId: LINE },
    body: {
      entryId: 'b6ca8713-d4b6-48fe-97c9-2905f6e1b001',
      on: '2026-01-12',
      kind: 'cut-back',
      metres: 1.5,
      cutAt: 'hook',
      note: 'Chafed at the thimble',
    },
  },
  { operation: 'listDiary', parameters: { gearId: LINE } },
  { operation: 'listOwnFigures' },
  { operation: 'getSeason', parameters: { from: '2026-01-01', to: '2026-12-31' } },
  { operation: 'listDefects' },
  { operation: 'closeDefect', parameters: { defectId: TOLD.defect }, body: { how: 'Trimmed and looked at again.' } },
  { operation: 'getCare', parameters: { gearId: STRAP } },
  { operation: 'getLife', parameters: { gearId: STRAP, limit: '50' } },
  { operation: 'getWear', parameters: { gearId: STRAP } },
  { operation: 'quarantine', parameters: { gearId: STRAP }, body: { reason: 'Left on the battery overnight.' } },
  { operation: 'retire', parameters: { gearId: STRAP }, body: { reason: 'Acid in the fibres.', destroyed: 'Cut into short lengths.' } },
  { operation: 'createPlan', body: { planId: PLAN, name: 'Dunlin in the rushes', rig: RIG } },
  { operation: 'listPlans' },
  { operation: 'getPlan', parameters: { planId: PLAN } },
  { operation: 'savePlan', parameters: { planId: PLAN }, body: { name: 'Dunlin in the rushes', rig: HELD_RIG, baseVersion: 1 } },
  {
    operation: 'createPlan',
    body: { planId: 'd2846369-7cb1-4f0a-8b5e-1f5f3d0a7e01', name: 'With a longer strap', rig: HELD_RIG, variantOf: PLAN },
  },
  { operation: 'chooseVariant', parameters: { planId: PLAN }, body: { version: 2, baseVersion: 2 } },
  { operation: 'getRigFile', parameters: { planId: PLAN } },
  { operation: 'listVersions', parameters: { planId: PLAN } },
  { operation: 'getVersion', parameters: { planId: PLAN, version: '1' } },
  {
    operation: 'addComment',
    parameters: { planId: PLAN },
    body: { commentId: '27d9b8c0-e5c7-490f-88da-3a16a7f2e301', words: 'The oak leans less than it looks.' },
  },
  { operation: 'listComments', parameters: { planId: PLAN } },
  {
    operation: 'overrideFinding',
    parameters: { planId: PLAN },
    body: {
      overrideId: '38eac9d1-f6d8-4a10-99eb-4b27b803f401',
      version: 2,
      findingId: TOLD.finding,
      reason: 'Padded with two floor mats.',
    },
  },
  {
    operation: 'logPull',
    parameters: { planId: PLAN },
    body: { pullId: 'd07f5a34-6f1f-4a43-9f8e-0b5c2f8a9e31', version: 2, on: '2026-01-15', pulls: 1, note: 'Came out at the first go' },
  },
  { operation: 'listSeries', parameters: { planId: PLAN } },
  {
    operation: 'addSeries',
    parameters: {
      planId: PLAN,
      seriesId: SERIES,
      version: '2',
      lineId: 'winch-line',
      strand: '0',
      on: '2026-01-15',
      fileName: 'bog-below-the-quarry.csv',
      pulls: '1',
    },
    file: 'time_s,tension_N\n0.0,0\n0.5,6200\n1.0,8150\n1.5,300\n',
  },
  { operation: 'getSeries', parameters: { seriesId: SERIES } },
  { operation: 'getSeriesFile', parameters: { seriesId: SERIES } },
  { operation: 'setPlanState', parameters: { planId: PLAN }, body: { state: 'archived', version: 2 } },
  { operation: 'keepLayout', body: { layoutId: LAYOUT, name: 'Straight to a low strap', rig: HELD_RIG } },
  { operation: 'listLayouts' },
  { operation: 'putLayoutAway', parameters: { layoutId: LAYOUT } },
  { operation: 'getPolicy' },
  { operation: 'previewPolicy', body: { content: POLICY } },
  {
    operation: 'savePolicy',
    body: { baseHash: TOLD.baseHash, content: POLICY, reason: 'Two more wraps, since the first layer is worn smooth.' },
  },
  { operation: 'previewFigure', body: OWN_FIGURE },
  { operation: 'adoptFigure', body: { ...OWN_FIGURE, baseHash: TOLD.baseHash, reason: 'Twelve pulls out of the same bog.' } },
  { operation: 'getSinceVisit' },
  { operation: 'markSeen', body: { upTo: 100 } },
  { operation: 'getReminders' },
  { operation: 'getFirstSteps' },
  { operation: 'putFirstStepsAway', body: { putAway: true } },
  { operation: 'listAudit', parameters: { limit: '20', kind: 'gear' } },
  { operation: 'listAuditOf', parameters: { subjectId: STRAP } },
  { operation: 'makeCalendarLink' },
  { operation: 'getCalendarLink' },
  { operation: 'getCalendar', parameters: { token: TOLD.token } },
  { operation: 'revokeCalendarLink' },
  { operation: 'getTask', parameters: { taskId: '05b796ae-c3a5-47ed-a6b8-18f4e5d0c101' } },
  { operation: 'stopTask', parameters: { taskId: '05b796ae-c3a5-47ed-a6b8-18f4e5d0c101' } },
  { operation: 'getBundle' },
  { operation: 'invitePerson', parameters: { personId: PERSON } },
  { operation: 'lookAtInvitation', body: { token: TOLD.token } },
  { operation: 'acceptInvitation', body: { token: TOLD.token, login: 'wren', password: PASSWORD } },
  { operation: 'signOut' },
  { operation: 'signIn', body: { login: 'wren', password: PASSWORD } },
  { operation: 'changePassword', body: { current: PASSWORD, next: 'rushes and a long line' } },
  { operation: 'signOutEverywhere' },
  {
    operation: 'acceptBundle',
    body: {
      token: TOLD.token,
      login: 'isla',
      password: PASSWORD,
      personId: TOLD.person,
      bundle: { format: 'the file as getBundle gave it' },
    },
  },
];
