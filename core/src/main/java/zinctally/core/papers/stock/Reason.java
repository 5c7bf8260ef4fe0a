package zinctally.core.papers.stock;

/** Why stock is adjusted, and the account that bears it. */
public record Reason(long id, String name, long account) {}
