package zinctally.web.people;

import java.time.Instant;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import org.springframework.session.FindByIndexNameSessionRepository;
import org.springframework.session.Session;
import org.springframework.stereotype.Component;

/** Where people are signed in. */
@Component
public class Sessions {
  private final FindByIndexNameSessionRepository<? extends Session> kept;

  Sessions(FindByIndexNameSessionRepository<? extends Session> kept) {
    this.kept = kept;
  }

  /**
   * @param here whether it is the one that asks
   */
  record Open(String id, Instant since, Instant last, boolean here) {}

  /** A person's sessions, the latest used first. */
  List<Open> of(String login, String here) {
    Map<String, ? extends Session> all = kept.findByPrincipalName(login);
    return all.values().stream()
        .filter(s -> !s.isExpired())
        .map(
            s ->
                new Open(
                    s.getId(),
                    s.getCreationTime(),
                    s.getLastAccessedTime(),
                    s.getId().equals(here)))
        .sorted(Comparator.comparing(Open::last).reversed())
        .toList();
  }

  /** Signs a person out everywhere: what was allowed a moment ago may not be now. */
  public void end(String login) {
    kept.findByPrincipalName(login).keySet().forEach(kept::deleteById);
  }

  /** Signs a person out everywhere else. */
  void endOthers(String login, String here) {
    kept.findByPrincipalName(login).keySet().stream()
        .filter(id -> !id.equals(here))
        .forEach(kept::deleteById);
  }
}
