package zinctally.core.papers;

/** Where goods are. */
public record Place(long id, String name) {}
