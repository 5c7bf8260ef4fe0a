package zinctally.web.paper;

import java.util.AbstractMap;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/** The words of one language by their keys. Every key that is asked for is there. */
final class Words extends AbstractMap<String, String> {
  private final Map<String, String> all;

  Words(Map<String, String> all) {
    this.all = Map.copyOf(all);
  }

  @Override
  public String get(@Nullable Object key) {
    return Objects.requireNonNull(all.get(key), () -> "no word for " + key);
  }

  @Override
  public String getOrDefault(@Nullable Object key, String other) {
    return all.getOrDefault(key, other);
  }

  @Override
  public Set<Map.Entry<String, String>> entrySet() {
    return all.entrySet();
  }
}
