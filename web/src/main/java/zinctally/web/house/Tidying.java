package zinctally.web.house;

import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.session.jdbc.JdbcIndexedSessionRepository;
import org.springframework.stereotype.Component;
import zinctally.store.house.InHouse;

/** Sessions that have ended are done away with in each book. */
@Component
@InHouse
class Tidying {
  private final JdbcIndexedSessionRepository sessions;

  Tidying(JdbcIndexedSessionRepository sessions) {
    this.sessions = sessions;
  }

  @Scheduled(cron = "0 40 * * * *")
  void sessions() {
    sessions.cleanUpExpiredSessions();
  }
}
