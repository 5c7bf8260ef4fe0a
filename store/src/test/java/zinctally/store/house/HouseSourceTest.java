package zinctally.store.house;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.util.List;
import java.util.Queue;
import java.util.concurrent.ConcurrentLinkedQueue;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.TimeUnit;
import java.util.function.Function;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.dao.DataAccessException;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.jdbc.datasource.DriverManagerDataSource;
import org.springframework.mock.env.MockEnvironment;
import zinctally.store.FreshBook;

/** Two books in one house, at the real database. */
class HouseSourceTest {
  private static final Hosted BEES = new Hosted("bees", "Wickmere", true, Hosted.Limits.USUAL);
  private static final Hosted WAX = new Hosted("wax-works", "Wax", true, Hosted.Limits.USUAL);
  private static HouseSource source;
  private static JdbcClient sql;
  private static HouseStore house;
  private static KeyStore keys;
  private static Instant now = Instant.parse("2026-11-28T09:00:00Z");

  private static final Clock CLOCK =
      new Clock() {
        @Override
        public ZoneId getZone() {
          return ZoneId.of("UTC");
        }

        @Override
        public Clock withZone(ZoneId zone) {
          return this;
        }

        @Override
        public Instant instant() {
          return now;
        }
      };

  private static MockEnvironment settings() {
    return new MockEnvironment()
        .withProperty("spring.datasource.url", FreshBook.server() + AtBook.HOUSE)
        .withProperty("spring.datasource.password", System.getenv("ZINC_DB_APP_PASSWORD"))
        .withProperty("spring.flyway.user", System.getenv("ZINC_DB_USER"))
        .withProperty("spring.flyway.password", System.getenv("ZINC_DB_PASSWORD"));
  }

  @BeforeAll
  static void open() {
    drop();
    source = new HouseSource(new BookDoor(settings()));
    sql = JdbcClient.create(source);
    JdbcClient own = JdbcClient.create(source.of(AtBook.HOUSE));
    house = new HouseStore(own, CLOCK);
    keys = new KeyStore(own, CLOCK);
    assertThat(house.add(BEES)).isTrue();
    assertThat(house.add(WAX)).isTrue();
  }

  @AfterAll
  static void close() {
    source.close();
    drop();
  }

  private static void drop() {
    JdbcClient all =
        JdbcClient.create(
            new DriverManagerDataSource(
                FreshBook.server() + "information_schema",
                System.getenv("ZINC_DB_USER"),
                System.getenv("ZINC_DB_PASSWORD")));
    for (String database : List.of(AtBook.HOUSE, BEES.database(), WAX.database(), "zinc_b_more"))
      all.sql("drop database if exists " + database).update();
  }

  private static String database() {
    return sql.sql("select database()").query(String.class).single();
  }

  private static long person(String login) {
    return AtBook.in(
        AtBook.HOUSE,
        () -> {
          sql.sql("insert into app_user (login, name, password, role) values (?, ?, '', 'READER')")
              .params(login, login)
              .update();
          return sql.sql("select id from app_user where login = ?")
              .param(login)
              .query(Long.class)
              .single();
        });
  }

  private static KeyStore.Key key(String login, Hosted book, String hash) {
    long person = person(login);
    keys.keep(person, book.name(), "dora", hash);
    long id =
        AtBook.in(
            AtBook.HOUSE,
            () ->
                sql.sql("select id from house_key where person_id = ?")
                    .param(person)
                    .query(Long.class)
                    .single());
    return keys.find(person, id).orElseThrow();
  }

  @Test
  void who_is_in_no_book_reaches_none() {
    assertThatThrownBy(HouseSourceTest::database).hasStackTraceContaining("in no book");
    assertThatThrownBy(source::getConnection).isInstanceOf(IllegalStateException.class);
  }

  @Test
  void going_into_a_book_and_another_leads_back_the_same_way() {
    try (AtBook.Stay bees = AtBook.go(BEES.database())) {
      assertThat(database()).isEqualTo("zinc_b_bees");
      assertThat(AtBook.in(WAX.database(), HouseSourceTest::database))
          .isEqualTo("zinc_b_wax_works");
      assertThat(AtBook.house()).isFalse();
      assertThat(AtBook.in(AtBook.HOUSE, AtBook::house)).isTrue();
      assertThat(database()).isEqualTo("zinc_b_bees");
      assertThat(house.here()).contains(BEES);
    }
    assertThatThrownBy(HouseSourceTest::database).hasStackTraceContaining("in no book");
  }

  @Test
  void another_thread_works_in_the_book_of_who_asked_it_to() throws InterruptedException {
    Queue<String> seen = new ConcurrentLinkedQueue<>();
    Runnable work = AtBook.in(BEES.database(), () -> AtBook.carried(() -> seen.add(database())));
    Function<String, String> asked =
        AtBook.in(WAX.database(), () -> AtBook.carried((String what) -> what + database()));
    Thread other =
        new Thread(
            () -> {
              work.run();
              seen.add(asked.apply("in "));
            });
    other.start();
    other.join();
    assertThat(seen).containsExactly("zinc_b_bees", "in zinc_b_wax_works");
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "select count(*) from zinc_b_wax_works.app_user",
        "insert into zinc_b_wax_works.app_user (login, name, password, role) values ('x', 'x', '', 'OWNER')",
        "select count(*) from zinc_house.house_key",
        "delete from journal",
        "create table more (id int)"
      })
  void the_account_of_a_book_does_nothing_in_another_and_no_more_in_its_own(String command) {
    AtBook.in(WAX.database(), HouseSourceTest::database); // that is there
    assertThatThrownBy(() -> AtBook.in(BEES.database(), () -> sql.sql(command).update()))
        .isInstanceOf(DataAccessException.class)
        .rootCause()
        .hasMessageContaining("denied");
  }

  @Test
  void a_password_with_more_than_letters_and_digits_makes_no_account() {
    MockEnvironment settings =
        settings().withProperty("spring.datasource.password", "x'; drop user zinc; --");
    BookDoor door = new BookDoor(settings);
    assertThatThrownBy(() -> door.ready("zinc_b_never"))
        .isInstanceOf(IllegalStateException.class)
        .hasMessageContaining("letters and digits only");
  }

  @Test
  void a_ticket_is_good_once_in_its_book_and_for_a_minute() {
    KeyStore.Key key = key("enid", BEES, "hash");
    String ticket = keys.ticket(key);
    assertThat(keys.use(ticket, "wax-works")).isEmpty();
    assertThat(keys.use(ticket, "bees")).as("tried elsewhere, it is used up").isEmpty();
    ticket = keys.ticket(key);
    assertThat(keys.use(ticket, "bees")).contains("dora");
    assertThat(keys.use(ticket, "bees")).isEmpty();
    ticket = keys.ticket(key);
    now = now.plus(Duration.ofSeconds(61));
    assertThat(keys.use(ticket, "bees")).isEmpty();
    assertThat(keys.ticket(key)).isNotEqualTo(keys.ticket(key));
  }

  @Test
  void a_key_is_one_persons_and_fits_the_password_it_was_made_with_last() {
    KeyStore.Key key = key("fay", BEES, "first");
    long other = person("gwen");
    assertThat(keys.find(other, key.id())).isEmpty();
    keys.drop(other, key.id());
    long fay = AtBook.in(AtBook.HOUSE, () -> id("fay"));
    assertThat(keys.find(fay, key.id())).contains(key);
    assertThat(key.fits("first")).isTrue();
    assertThat(key.fits("second")).isFalse();
    keys.keep(fay, "bees", "dora", "second");
    assertThat(keys.find(fay, key.id()).orElseThrow().fits("second")).isTrue();
    keys.drop(fay, key.id());
    assertThat(keys.find(fay, key.id())).isEmpty();
  }

  private static long id(String login) {
    return sql.sql("select id from app_user where login = ?")
        .param(login)
        .query(Long.class)
        .single();
  }

  @Test
  void a_name_that_is_taken_changes_nothing_and_what_a_book_takes_is_noted() {
    assertThat(house.add(new Hosted("bees", "Another", false, Hosted.Limits.USUAL))).isFalse();
    assertThat(house.find("bees")).contains(BEES);
    assertThat(house.change("nobody", true, Hosted.Limits.USUAL)).isFalse();
    Hosted more = new Hosted("more", "More", true, Hosted.Limits.USUAL);
    house.add(more);
    assertThat(house.change("more", false, new Hosted.Limits(3, 2, 50))).isTrue();
    house.seen("more", "More and more", 2, 1_250_000);
    assertThat(house.find("more"))
        .contains(new Hosted("more", "More and more", false, new Hosted.Limits(3, 2, 50)));
    assertThat(house.all()).extracting(Hosted::name).contains("bees", "more", "wax-works");
  }

  @Test
  void what_fails_in_one_book_is_done_in_all_others_and_in_no_closed_one()
      throws InterruptedException {
    house.add(new Hosted("shut", "Shut", true, Hosted.Limits.USUAL));
    house.change("shut", false, Hosted.Limits.USUAL);
    Queue<String> seen = new ConcurrentLinkedQueue<>();
    CountDownLatch last = new CountDownLatch(1);
    InEachBook scheduler = new InEachBook(house);
    scheduler.initialize();
    scheduler.schedule(
        () -> {
          String here = database();
          seen.add(here);
          if (here.equals(WAX.database())) last.countDown();
          throw new IllegalArgumentException(here);
        },
        Instant.now());
    assertThat(last.await(2, TimeUnit.MINUTES)).isTrue();
    scheduler.shutdown();
    assertThat(seen)
        .contains(AtBook.HOUSE, BEES.database(), WAX.database())
        .doesNotContain("zinc_b_shut");
  }

  @ParameterizedTest
  @CsvSource({
    "bees, true",
    "b2, true",
    "wax-works, true",
    "abcdefghijklmnopqrstuvwxyz1234, true",
    "abcdefghijklmnopqrstuvwxyz12345, false",
    "b, false",
    "2b, false",
    "Bees, false",
    "wax--works, false",
    "wax-, false",
    "-wax, false",
    "wax_works, false",
    "wax.works, false"
  })
  void a_name_can_stand_in_an_address_and_means_one_database(String name, boolean fits) {
    assertThat(Hosted.fits(name)).isEqualTo(fits);
    if (fits)
      assertThat(Hosted.name(new Hosted(name, "", true, Hosted.Limits.USUAL).database()))
          .contains(name);
  }

  @ParameterizedTest
  @CsvSource({
    "1, 1, 10, true",
    "1000, 20, 1048576, true",
    "0, 1, 10, false",
    "1001, 1, 10, false",
    "1, 0, 10, false",
    "1, 21, 10, false",
    "1, 1, 9, false",
    "1, 1, 1048577, false"
  })
  void limits_are_numbers_that_can_be_kept_to(int people, int atOnce, int mb, boolean sound) {
    assertThat(new Hosted.Limits(people, atOnce, mb).sound()).isEqualTo(sound);
  }
}
