import * as z from 'zod';

const price = (of: string) =>
  z.number(`${of} is a figure, as 4 or 4.50.`).min(0, 'A price can’t be less than nothing.').max(100_000, 'Check the price.');
const priceOrNone = (of: string) => price(of).nullable().default(null);

/** What things cost that stand on no shelf, each; null where nobody said: then it is named, never counted as free. */
const thingsSchema = z.strictObject({
  /** a bare cup */
  cup: priceOrNone('The price of a cup'),
  /** a pair */
  gloves: priceOrNone('The price of gloves'),
  /** a mixing pot with its stick */
  pot: priceOrNone('The price of a pot'),
  /** for one sanding of one cup */
  sandpaper: priceOrNone('The price of sandpaper'),
  /** for what is cut on one cup */
  blade: priceOrNone('The price of a blade'),
  /** clear sealer, one light coat of one cup */
  sealer: priceOrNone('The price of sealer'),
});
export type Thing = keyof z.infer<typeof thingsSchema>;

export const thingNames: Readonly<Record<Thing, string>> = {
  cup: 'Bare cups',
  gloves: 'Gloves',
  pot: 'Mixing pots',
  sandpaper: 'Sandpaper',
  blade: 'Blades',
  sealer: 'Clear sealer',
};

/** How this workshop counts its money. Shares are of 1. */
export const moneyWaysSchema = z.strictObject({
  /** what stands before or after a figure */
  sign: z.string().trim().max(4, 'Keep the sign under 5 letters.').default('€'),
  /** of an hour of hands; null where hours aren't paid */
  rate: price('The rate of an hour').nullable().default(null),
  things: thingsSchema.prefault({}),
  /** of a turner with one cup on it */
  watts: z.number().min(0, 'A turner takes no less than nothing.').max(500, 'No turner takes over 500 W.').default(4),
  kilowattHour: priceOrNone('The price of a kilowatt-hour'),
  /** cups of a hundred that fail; null goes by the logbook */
  rejects: z
    .number()
    .min(0, 'No fewer than none fail.')
    .max(0.9, 'Where nine of ten fail, find out why first.')
    .nullable()
    .default(null),
  margin: z.number().min(0, 'A margin under nothing gives cups away.').max(20, 'Check the margin.').default(0.2),
  /** of the place it is sold at: a share of the price, and so much a sale */
  fee: z
    .number()
    .min(0, 'A fee is at least nothing.')
    .max(0.95, 'Of a price that is all fee nothing is left: a fee is at most 95 %.')
    .default(0),
  feeFixed: price('The fee of a sale').default(0),
  postage: price('The postage').default(0),
  /** prices are rounded up to a whole number of these */
  rounding: z.number().min(0.01, 'Round to 0.01 at least.').max(1000, 'Check the rounding.').default(0.5),
});
export type MoneyWays = z.infer<typeof moneyWaysSchema>;

export const usualMoneyWays: MoneyWays = moneyWaysSchema.parse({});

/** An amount of money, to the cent: `12.40 €`. */
export const moneyText = (amount: number, { sign }: Pick<MoneyWays, 'sign'>): string => {
  const figure = (Math.abs(amount) < 0.005 ? 0 : amount).toLocaleString('en', {
    minimumFractionDigits: 2,
    maximumFractionDigits: 2,
  });
  return `${figure.replace('-', '−')}${sign === '' ? '' : ` ${sign}`}`;
};

/** Whom to ask what the program can't know. */
export const ASK_WHO =
  'Taxes, food contact and the rules for selling differ from place to place: ask your tax office and the authority for food and goods where you live. No rate is built in here.';
