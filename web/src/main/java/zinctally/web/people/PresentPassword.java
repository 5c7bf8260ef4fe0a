package zinctally.web.people;

import jakarta.servlet.http.HttpServletRequest;
import java.util.Optional;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.stereotype.Component;
import zinctally.store.people.Person;
import zinctally.store.people.SignInTries;

/** Whoever sits at a window left open must know the password to change how one signs in. */
@Component
public class PresentPassword {
  private final PasswordEncoder hashing;
  private final SignInTries tries;

  PresentPassword(PasswordEncoder hashing, SignInTries tries) {
    this.hashing = hashing;
    this.tries = tries;
  }

  /** What is wrong with it; wrong ones make the next wait, as at the door. */
  Optional<String> fault(Person person, String typed, HttpServletRequest request) {
    return fault(person, typed, request, "That is not your present password.");
  }

  /**
   * @param wrong what is said of a wrong one
   */
  public Optional<String> fault(
      Person person, String typed, HttpServletRequest request, String wrong) {
    String from = request.getRemoteAddr();
    if (!SignInDoor.wait(tries, person.login(), request).isZero())
      return Optional.of("Too many wrong passwords; try again in a while.");
    if (!hashing.matches(typed, person.password())) {
      tries.unknown(person.login(), from);
      return Optional.of(wrong);
    }
    tries.known(person.login(), from);
    return Optional.empty();
  }
}
