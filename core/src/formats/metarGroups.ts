/**
 * The groups of an aerodrome report in their order: WMO Manual on Codes 306, FM 15 METAR and FM 16 SPECI; ICAO Annex 3,
 * appendix 3; with the national forms in miles, feet and inches (FMH-1). A group is understood as a whole or not at all.
 */
export interface MetarGroup {
  readonly name: string;
  readonly form: RegExp;
  /** What looks like this group although it is misspelt, so that it can be named; null for one that only its form tells. */
  readonly like: RegExp | null;
  /** What it must look like, in words. */
  readonly wanted: string;
  /** May stand more than once. */
  readonly many?: boolean;
}

const runway = String.raw`R\d{2}[LCR]{0,2}`;
const twoDigits = String.raw`M?\d{2}`;
const cloudBase = String.raw`(?:\d{3}|/{3})`;
/** Deposit and extent, depth, braking; or cleared, with its braking. */
const deposit = String.raw`(?:[\d/]{2}(?:\d{2}|//)(?:\d{2}|//)|CLRD(?:\d{2}|//))`;
const descriptor = '(?:MI|PR|BC|DR|BL|SH|TS|FZ)';
const phenomenon = '(?:DZ|RA|SN|SG|IC|PL|GR|GS|UP|BR|FG|FU|VA|DU|SA|HZ|PO|SQ|FC|SS|DS)';
const present = `(?:${descriptor}?${phenomenon}{1,3}|TS|SH)`;
const knots = String.raw`\d{2}|[1-9]\d{2}|P\d{2}`;

export const metarGroups: readonly MetarGroup[] = [
  {
    name: 'wind',
    form: new RegExp(
      `^(?<from>\\d{3}|VRB|/{3})(?<speed>${knots}|//)(?:G(?<gust>${knots}|//))?(?<unit>KT|MPS)$`,
    ),
    like: /(KTS?|MPS|KMH|MPH)$/,
    wanted: 'three digits or VRB, the speed, a gust after G, and KT or MPS, as in 24008G14KT',
  },
  {
    name: 'variable wind',
    form: /^(?<least>\d{3})V(?<most>\d{3})$/,
    like: /^\d+V\d*$/,
    wanted: 'two directions of three digits, as in 240V300',
  },
  {
    name: 'visibility',
    form: /^(?:CAVOK|\d{4}(?:NDV)?|\/{4}|P?\d{1,2}SM|\d{1,2}KM|(?:M|[1-9]_)?\d\/\d{1,2}SM)$/,
    like: /[SK]M$|NDV$|^CAV|^\d{1,5}$|^\d{4}[A-Z]+$/,
    wanted:
      'four digits of metres, miles before SM, kilometres before KM, or CAVOK, as in 9999, 1/2SM or 10SM',
  },
  {
    // Beside the prevailing visibility only with its direction: four bare digits there are another group, broken.
    name: 'least visibility',
    form: /^\d{4}(?:[NS]?[EW]|[NS])$/,
    like: null,
    wanted: 'four digits of metres and a direction, as in 1500SW',
    many: true,
  },
  {
    name: 'runway visual range',
    form: new RegExp(`^${runway}/(?:/{4}|[MP]?\\d{4}(?:V[MP]?\\d{4})?(?:FT)?(?:/?[UDN])?)$`),
    like: /^R\d+[LCR]*\/[MP]?\d{1,5}(?:\D|$)/,
    wanted: 'the runway, a stroke and four digits, as in R24/0600U',
    many: true,
  },
  {
    name: 'weather',
    form: new RegExp(`^(?:(?:[+-]|VC)?${present}|//)$`),
    like: /^(?:[+-]|VC)\w/,
    wanted: 'the letters of the code table, as in -RA or TSRA',
    many: true,
  },
  {
    name: 'cloud',
    form: new RegExp(
      `^(?:(?:FEW|SCT|BKN|OVC|/{3})${cloudBase}(?:CB|TCU|/{3})?|VV${cloudBase}|NSC|SKC|NCD|CLR)$`,
    ),
    like: /^(?:FEW|SCT|BKN|OVC|VV)/,
    wanted: 'the amount and three digits, as in BKN020',
    many: true,
  },
  {
    name: 'temperature',
    form: new RegExp(`^(?<air>${twoDigits}|//)/(?<dew>${twoDigits}|//)?$`),
    like: /^M?\d{1,3}\/M?\d{0,3}$|^\/\/\/M?\d{1,2}$/,
    wanted: 'two digits each for air and dew point, M for minus, as in 09/M01',
  },
  {
    name: 'pressure',
    form: /^(?<unit>[QA])(?<value>\d{4}|\/{4})$/,
    like: /^[QA]\d/,
    wanted: 'Q and four digits of hPa, or A and four of inches, as in Q1008 or A2977',
    many: true,
  },
  {
    name: 'recent weather',
    form: new RegExp(`^RE(?:${present}|//)$`),
    like: /^RE[A-Z]{2}/,
    wanted: 'RE and the letters of the code table, as in RERA',
    many: true,
  },
  {
    name: 'wind shear',
    form: /^WS_(?:ALL_RWY|(?:(?:TKOF|LDG)_)?R(?:WY)?\d{2}[LCR]?)$/,
    like: /^WS/,
    wanted: 'WS and a runway, as in WS R24',
    many: true,
  },
  {
    name: 'sea',
    form: new RegExp(`^W(?:${twoDigits}|//)/(?:S[\\d/]|H(?:\\d{1,3}|/{3}))$`),
    like: /^W(?:M?\d|\/)/,
    wanted: 'its temperature and its state or waves, as in W15/S4',
  },
  {
    name: 'runway deposit',
    form: new RegExp(`^(?:${runway}/${deposit}|\\d{2}${deposit}|(?:R/|${runway}/)?SNOCLO)$`),
    like: /^\d[\d/]{5,}$|CLRD|SNOC|^R\d*[LCR]*\//,
    wanted: 'the runway and six figures, as in R24/590293 or 88590293',
    many: true,
  },
  {
    name: 'colour state',
    form: /^(?:BLACK)?(?:BLU|WHT|GRN|YLO[12]?|AMB|RED)$/,
    like: null,
    wanted: 'BLU, WHT, GRN, YLO, AMB or RED',
    many: true,
  },
];
