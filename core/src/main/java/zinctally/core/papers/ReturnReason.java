package zinctally.core.papers;

/** Why goods go or come back. */
public record ReturnReason(long id, String name) {}
