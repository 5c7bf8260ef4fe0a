package zinctally.web.house;

import java.util.Optional;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.session.jdbc.JdbcIndexedSessionRepository;
import org.springframework.stereotype.Component;
import zinctally.store.book.Book;
import zinctally.store.book.BookStore;
import zinctally.store.house.Hosted;
import zinctally.store.house.HouseStore;
import zinctally.store.house.InHouse;
import zinctally.store.machine.MachineStore;
import zinctally.store.people.PeopleStore;

/** Every hour, in each book: ended sessions are done away with, and what it takes is noted. */
@Component
@InHouse
class Tidying {
  private final JdbcIndexedSessionRepository sessions;
  private final HouseStore house;
  private final BookStore books;
  private final PeopleStore people;
  private final MachineStore machine;

  Tidying(
      JdbcIndexedSessionRepository sessions,
      HouseStore house,
      BookStore books,
      PeopleStore people,
      MachineStore machine) {
    this.sessions = sessions;
    this.house = house;
    this.books = books;
    this.people = people;
    this.machine = machine;
  }

  @Scheduled(cron = "0 40 * * * *")
  void sessions() {
    sessions.cleanUpExpiredSessions();
  }

  /** A business may be called otherwise by now. */
  @Scheduled(cron = "0 45 * * * *")
  void seen() {
    Optional<Hosted> here = house.here();
    Optional<Book> book = books.find();
    if (here.isEmpty() || book.isEmpty()) return;
    house.seen(here.get().name(), book.get().name(), people.active(), machine.database().bytes());
  }
}
