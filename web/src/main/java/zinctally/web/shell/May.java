package zinctally.web.shell;

import java.security.Principal;
import java.util.Arrays;
import org.jspecify.annotations.Nullable;
import org.springframework.security.access.AccessDeniedException;
import org.springframework.security.core.Authentication;
import zinctally.core.papers.PaperKind;
import zinctally.core.papers.Party;
import zinctally.core.papers.Trait;
import zinctally.store.paper.SavedDraft;
import zinctally.store.people.Person;

/** What a signed-in person may do. */
public final class May {
  private May() {}

  public static Person.Role role(@Nullable Principal principal) {
    if (!(principal instanceof Authentication signedIn)) return Person.Role.READER;
    return Arrays.stream(Person.Role.values())
        .filter(
            r ->
                signedIn.getAuthorities().stream()
                    .anyMatch(a -> ("ROLE_" + r.name()).equals(a.getAuthority())))
        .findFirst()
        .orElse(Person.Role.READER);
  }

  public static boolean setUp(Principal principal) {
    Person.Role role = role(principal);
    return role == Person.Role.OWNER || role == Person.Role.BOOKKEEPER;
  }

  public static boolean own(@Nullable Principal principal) {
    return role(principal) == Person.Role.OWNER;
  }

  /**
   * Goes on only when it is so.
   *
   * @throws AccessDeniedException when it is not; the page says that it is not for this person
   */
  public static void must(boolean may) {
    if (!may) throw new AccessDeniedException("not for this person");
  }

  /** The owner, and who has the role that approves orders. */
  public static boolean approve(Principal principal, String approver) {
    Person.Role role = role(principal);
    return role == Person.Role.OWNER || role.name().equals(approver);
  }

  /** The counter writes all papers of selling; a reader writes nothing. */
  public static boolean write(Principal principal, PaperKind kind) {
    return setUp(principal)
        || role(principal) == Person.Role.COUNTER && kind.isWith(Party.Kind.CUSTOMER);
  }

  /** Whether a person may write in a draft: at the counter in one's own, a sale's, or a shared. */
  public static boolean write(Principal principal, SavedDraft draft) {
    return setUp(principal)
        || write(principal, draft.draft().kind())
            && (draft.shared()
                || draft.draft().kind().is(Trait.COUNTER)
                || draft.begunBy().equalsIgnoreCase(principal.getName()));
  }
}
