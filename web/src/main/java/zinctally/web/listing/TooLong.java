package zinctally.web.listing;

import org.springframework.dao.QueryTimeoutException;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.ControllerAdvice;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.ResponseStatus;

/** What takes the database too long is given up there, and says so. */
@ControllerAdvice(annotations = Controller.class)
class TooLong {
  @ExceptionHandler(QueryTimeoutException.class)
  @ResponseStatus(HttpStatus.UNPROCESSABLE_CONTENT)
  String givenUp() {
    return "listing/too-long";
  }
}
