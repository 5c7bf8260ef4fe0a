package zinctally.core.goods;

/** A group of items. */
public record ItemGroup(long id, String name) {}
