package zinctally.web.shell;

import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.ResponseStatus;

/** Something asked for by an address that leads nowhere. */
@ResponseStatus(HttpStatus.NOT_FOUND)
public final class NotThere extends RuntimeException {
  public NotThere(String what) {
    super(what);
  }
}
