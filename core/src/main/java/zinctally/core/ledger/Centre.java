package zinctally.core.ledger;

/** A branch, department or project that bears income and costs. */
public record Centre(long id, String name) {}
