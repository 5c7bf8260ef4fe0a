package zinctally.web.listing;

import jakarta.servlet.http.HttpServletRequest;
import java.nio.charset.StandardCharsets;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.web.util.UriUtils;

/** A path with what is asked of it; whatever is typed survives in it. */
public record Address(String path, Map<String, String> asked) {
  public Address {
    asked = new LinkedHashMap<>(asked);
  }

  /** Where a request was sent, without some of its names and without what is empty. */
  static Address of(HttpServletRequest request, Set<String> without) {
    Map<String, String> asked = new LinkedHashMap<>();
    request
        .getParameterMap()
        .forEach(
            (name, values) -> {
              if (!without.contains(name) && !values[0].isBlank()) asked.put(name, values[0]);
            });
    return new Address(request.getRequestURI(), asked);
  }

  /** Where a request was sent, without some of its names. */
  public static Address here(HttpServletRequest request, String... without) {
    return of(request, Set.of(without));
  }

  /** The same, with something else asked. */
  public Address with(String name, String value) {
    Map<String, String> more = new LinkedHashMap<>(asked);
    more.put(name, value);
    return new Address(path, more);
  }

  @Override
  public String toString() {
    if (asked.isEmpty()) return path;
    return asked.entrySet().stream()
        .map(e -> encoded(e.getKey()) + "=" + encoded(e.getValue()))
        .collect(Collectors.joining("&", path + "?", ""));
  }

  /** A text as it stands in an address. */
  public static String encoded(String text) {
    return UriUtils.encode(text, StandardCharsets.UTF_8);
  }
}
