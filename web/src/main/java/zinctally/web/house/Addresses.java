package zinctally.web.house;

import jakarta.servlet.http.HttpServletRequest;
import java.util.Locale;
import java.util.Optional;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Component;
import org.springframework.web.servlet.support.ServletUriComponentsBuilder;
import zinctally.store.house.InHouse;

/**
 * Where the house and its books stand: the house at a host, each book at a host of its own under
 * it, so that browsers keep what belongs to one from all others.
 */
@Component
@InHouse
public class Addresses {
  private final String house;

  Addresses(@Value("${zinc.house}") String house) {
    this.house = house.toLowerCase(Locale.ROOT);
  }

  /** Whether the house itself is asked. */
  boolean isHouse(HttpServletRequest request) {
    return host(request).equals(house);
  }

  /** The name of the book that is asked; empty when no book can be meant. */
  Optional<String> book(HttpServletRequest request) {
    String under = "." + house;
    return Optional.of(host(request))
        .filter(host -> host.endsWith(under))
        .map(host -> host.substring(0, host.length() - under.length()));
  }

  private static String host(HttpServletRequest request) {
    return request.getServerName().toLowerCase(Locale.ROOT);
  }

  /** The house, as it is reached from where the request came. */
  public String ofHouse(HttpServletRequest request) {
    return at(request, house);
  }

  String ofBook(HttpServletRequest request, String name) {
    return at(request, name + "." + house);
  }

  private static String at(HttpServletRequest request, String host) {
    return ServletUriComponentsBuilder.fromRequest(request)
        .host(host)
        .replacePath("")
        .replaceQuery(null)
        .build()
        .toUriString();
  }
}
