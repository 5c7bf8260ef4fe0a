package zinctally.store;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.util.concurrent.Callable;
import java.util.concurrent.Executors;
import java.util.stream.Stream;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.Test;
import zinctally.store.people.SignInTries;

class SignInTriesTest {
  private static final FreshBook book = new FreshBook();
  private final SignInTries tries = book.get(SignInTries.class);

  @AfterAll
  static void close() {
    book.close();
  }

  private Duration waits(String name) {
    return tries.begin(name, "10.0.0.1");
  }

  @Test
  void after_five_wrong_passwords_each_try_waits_twice_as_long_and_a_right_one_forgets_them() {
    for (int n = 0; n < 5; n++) assertThat(waits("ann")).isZero();
    assertThat(waits("ann")).isEqualTo(Duration.ofSeconds(1));
    assertThat(waits("ann")).isEqualTo(Duration.ofSeconds(1));
    assertThat(waits("bob")).isZero();
    ago("name ann", 2);
    assertThat(waits("ann")).isZero();
    assertThat(waits("ann")).isEqualTo(Duration.ofSeconds(2));
    book.sql().sql("update sign_in_try set failures = 90 where what = 'name ann'").update();
    assertThat(waits("ann")).isEqualTo(Duration.ofMinutes(15));
    tries.right("ann", "10.0.0.1");
    assertThat(waits("ann")).isZero();
  }

  private static void ago(String what, int seconds) {
    book.sql()
        .sql("update sign_in_try set latest = latest - interval ? second where what = ?")
        .params(seconds, what)
        .update();
  }

  @Test
  void many_at_one_moment_are_no_way_round() throws Exception {
    var hands = Executors.newFixedThreadPool(8);
    Callable<Duration> attempt = () -> tries.begin("eve", "10.0.0.2");
    long let =
        hands.invokeAll(Stream.generate(() -> attempt).limit(40).toList()).stream()
            .filter(
                done -> {
                  try {
                    return done.get().isZero();
                  } catch (Exception broken) {
                    throw new AssertionError(broken);
                  }
                })
            .count();
    hands.shutdown();
    assertThat(let).isEqualTo(5);
  }

  @Test
  void an_address_that_tries_many_names_waits_half_a_minute_at_most_and_fills_no_table() {
    for (int n = 0; n < 30; n++) assertThat(tries.begin("name " + n, "10.0.0.9")).isZero();
    assertThat(tries.begin("one more", "10.0.0.9")).isEqualTo(Duration.ofSeconds(1));
    assertThat(tries.begin("one more", "10.0.0.8")).isZero();
    book.sql().sql("update sign_in_try set failures = 90 where what = 'address 10.0.0.9'").update();
    assertThat(tries.begin("and another", "10.0.0.9")).isEqualTo(Duration.ofSeconds(30));
    assertThat(kept("name and another")).isZero();
  }

  private static long kept(String what) {
    return book.sql()
        .sql("select count(*) from sign_in_try where what = ?")
        .param(what)
        .query(Long.class)
        .single();
  }

  @Test
  void what_is_a_day_old_is_forgotten() {
    for (int n = 0; n < 5; n++) tries.begin("old", "10.0.0.7");
    ago("name old", 86_401);
    assertThat(tries.begin("old", "10.0.0.7")).isZero();
    ago("name old", 86_401);
    tries.forgetOld();
    assertThat(kept("name old")).isZero();
  }

  @Test
  void what_was_tried_stands_in_the_audit_trail() {
    tries.wrong("zoe", "10.0.0.3");
    assertThat(
            book.sql()
                .sql(
                    "select concat(login, ' ', what, ' ', after_text) from audit where login = 'zoe'")
                .query(String.class)
                .single())
        .isEqualTo("zoe failed to sign in from 10.0.0.3");
  }

  @Test
  void a_right_password_before_a_code_leaves_the_name_counted_and_the_address_not() {
    for (int i = 0; i < 5; i++) {
      assertThat(tries.begin("gwen", "192.0.2.77")).isZero();
      tries.half("192.0.2.77");
    }
    assertThat(tries.begin("gwen", "192.0.2.77")).isPositive();
    assertThat(
            book.sql()
                .sql("select failures from sign_in_try where what = 'address 192.0.2.77'")
                .query(Integer.class)
                .single())
        .isZero();
  }
}
