package zinctally.core.papers.back;

/** Why goods go or come back. */
public record ReturnReason(long id, String name) {}
