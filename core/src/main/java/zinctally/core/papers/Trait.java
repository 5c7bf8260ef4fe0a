package zinctally.core.papers;

/** What others ask of a kind, so that nobody needs to know kinds by name. */
public enum Trait {
  /** Goods come or go with it. */
  MOVES_GOODS,
  /** Goods go from one place of ours to another with it: it has no cost and no entry. */
  ACROSS,
  /** It may move goods that are not ours. */
  OF_ANYONE,
  /** None of the goods it moves are ours. */
  OTHERS_ONLY,
  /** Goods of a supplier become ours with it, and leave. */
  TAKES,
  /** It says what is owed for consigned goods: it moves and books nothing. */
  AGREES,
  /** Goods come in with it and wait for it, or it for them. */
  BRINGS_IN,
  /** Goods that come back with it are an arrival of their own, which can be charged. */
  ANEW,
  /** Goods go to a customer with it. */
  SENDS,
  /** It asks a customer for money, and takes goods along. */
  SELLS,
  /** A supplier asks money with it, and brings goods along. */
  BILLS,
  /** It is an order: it binds, and moves and books nothing. */
  ORDERS,
  /** It answers goods that went back. */
  CREDITS,
  /** It is written at the counter, over a till. */
  COUNTER,
  /** It says what goods are made of: it moves and books nothing. */
  RECIPES,
  /** Goods are made of other goods with it, or taken apart. */
  MAKES,
  /** It puts right what was counted, on a sheet that it closes. */
  COUNTED,
  /** The books begin with it. */
  OPENS,
  /** It is typed on a sheet of its own, whose columns are its own. */
  SHEET,
  /** It goes into the ledger as it is typed. */
  BY_HAND,
  /** It pays out what is owed for consigned goods, and is owed as a bill. */
  SETTLES,
  /** It declares tax, and is owed to the office as a bill to its supplier. */
  DECLARES,
  /** Money changes hands with it alone. */
  PAYS,
  /** What comes with it gets labels of ours, and pieces can have prices of their own. */
  LABELLED,
  /** Its lines have prices. */
  PRICED,
  /** Its lines have a worth, and no price. */
  VALUED,
  /** It is handed over, and so has a PDF. */
  HANDED,
  /** It can come again by itself every month. */
  REPEATS,
  /** Reading it asks what else is known of its party: their number, what they may owe. */
  ASKS_OF_PARTY,
  /** It changes what an item is, which every other posting relies on. */
  CHANGES_ITEMS,
  /** Its lines earn or cost something that a cost centre can bear. */
  BORNE,
  /** It puts right what the check found, and so is checked. */
  MENDS,
  /** It is neither amended nor voided. */
  STAYS
}
