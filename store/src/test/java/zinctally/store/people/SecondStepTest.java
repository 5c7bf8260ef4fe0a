package zinctally.store.people;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.List;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.stream.IntStream;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.transaction.support.TransactionTemplate;
import zinctally.store.Audit;
import zinctally.store.FreshBook;

class SecondStepTest {
  /** The secret of RFC 6238, Appendix B, for SHA-1. */
  private static final byte[] SECRET = "12345678901234567890".getBytes(StandardCharsets.US_ASCII);

  private static FreshBook book;
  private static PeopleStore people;
  private static int made;

  @BeforeAll
  static void open() {
    book = new FreshBook();
    people = book.get(PeopleStore.class);
  }

  @AfterAll
  static void close() {
    book.close();
  }

  private static Person someone() {
    String login = "person" + made++;
    people.add(login, login, "{noop}x", Person.Role.READER);
    return people.find(login).orElseThrow();
  }

  private static SecondStep at(long second) {
    Clock clock = Clock.fixed(Instant.ofEpochSecond(second), ZoneOffset.UTC);
    return new SecondStep(book.sql(), book.get(Audit.class), clock);
  }

  /** RFC 6238, Appendix B; of the eight digits there the last six are asked for here. */
  @ParameterizedTest
  @CsvSource({
    "59, 287082",
    "1111111109, 081804",
    "1111111111, 050471",
    "1234567890, 005924",
    "2000000000, 279037",
    "20000000000, 353130"
  })
  void codes_are_those_of_the_standard(long second, String code) {
    assertThat(at(second).begin(someone(), SECRET, code)).hasSize(8).doesNotHaveDuplicates();
    assertThat(at(second + 90).begin(someone(), SECRET, code)).isEmpty();
  }

  @Test
  void it_is_on_once_the_device_has_shown_its_code_and_off_again_with_all_codes() {
    Person person = someone();
    assertThat(at(59).begin(person, SECRET, "000000")).isEmpty();
    assertThat(at(59).isOn(person.login())).isFalse();
    List<String> spare = at(59).begin(person, SECRET, "287082");
    assertThat(at(59).isOn(person.login())).isTrue();
    assertThat(at(59).whoseIsOn()).contains(person.login());
    at(59).end(person, "owner");
    assertThat(at(59).isOn(person.login())).isFalse();
    assertThat(at(59).take(person.login(), spare.get(0))).isFalse();
  }

  @Test
  void a_code_is_good_once_and_half_a_minute_early_or_late() {
    Person person = someone();
    at(59).begin(person, SECRET, "287082");
    assertThat(at(1111111109).take(person.login(), "081804")).isTrue();
    assertThat(at(1111111109).take(person.login(), "081804")).isFalse();
    assertThat(at(1111111109).take(person.login(), "050 471")).as("the next one").isTrue();
    assertThat(at(1111111109).take(person.login(), "081804")).as("before that").isFalse();
    assertThat(at(1234567890 + 60).take(person.login(), "005924")).as("too late").isFalse();
    assertThat(at(1234567890 + 30).take(person.login(), "005924")).as("just late").isTrue();
  }

  @Test
  void a_spare_code_is_good_once_however_it_is_written() {
    Person person = someone();
    List<String> spare = at(59).begin(person, SECRET, "287082");
    assertThat(at(59).take(person.login(), spare.get(0).toUpperCase(java.util.Locale.ROOT)))
        .isTrue();
    assertThat(at(59).take(person.login(), spare.get(0))).isFalse();
    assertThat(at(59).take(person.login(), spare.get(1).replace("-", " "))).isTrue();
  }

  @Test
  void of_many_who_use_one_code_at_one_moment_one_gets_in() throws Exception {
    Person person = someone();
    at(59).begin(person, SECRET, "287082");
    TransactionTemplate transaction = book.get(TransactionTemplate.class);
    ExecutorService many = Executors.newFixedThreadPool(8);
    try {
      List<Future<Boolean>> tries =
          IntStream.range(0, 8)
              .mapToObj(
                  i ->
                      many.submit(
                          () ->
                              transaction.execute(
                                  status -> at(1111111109).take(person.login(), "081804"))))
              .toList();
      int in = 0;
      for (Future<Boolean> one : tries) if (one.get()) in++;
      assertThat(in).isEqualTo(1);
    } finally {
      many.shutdown();
    }
  }

  @Test
  void of_whom_it_is_demanded_is_kept() {
    at(59).demand(List.of(Person.Role.OWNER, Person.Role.READER));
    assertThat(at(59).demanded()).containsExactly(Person.Role.OWNER, Person.Role.READER);
    at(59).demand(List.of());
    assertThat(at(59).demanded()).isEmpty();
  }
}
