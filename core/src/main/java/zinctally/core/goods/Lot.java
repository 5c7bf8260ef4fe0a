package zinctally.core.goods;

import java.time.LocalDate;
import org.jspecify.annotations.Nullable;

/**
 * Goods of an item told apart from others of it: a lot holds many, a serial number one.
 *
 * @param id zero until it is made
 * @param expiry null for none
 */
public record Lot(long id, long item, String code, @Nullable LocalDate expiry) {}
