package zinctally.web.setup;

import java.security.Principal;
import java.util.Optional;
import org.springframework.stereotype.Component;
import zinctally.store.Audit;

/** Leaves in the audit trail what was changed in the set-up: what it was, and what it is. */
@Component
class Trail {
  private final Audit audit;

  Trail(Audit audit) {
    this.audit = audit;
  }

  /**
   * @param before empty for what was made
   */
  void leave(Principal who, String subject, long id, Optional<?> before, Optional<?> after) {
    audit.write(
        who.getName(),
        subject,
        id,
        before.isEmpty() ? "made" : "changed",
        before.map(Object::toString).orElse(null),
        after.map(Object::toString).orElse(""));
  }
}
