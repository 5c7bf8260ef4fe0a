package zinctally.store.check;

/**
 * Something that must hold, as a query that finds what does not.
 *
 * @param what what must hold
 * @param looked counts what is looked at
 * @param faults selects a name and two figures for each that does not hold
 */
record Rule(String what, String looked, String faults) {}
