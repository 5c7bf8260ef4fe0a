package zinctally.web.house;

import static org.assertj.core.api.Assertions.assertThat;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.times;
import static org.mockito.Mockito.verify;
import static org.mockito.Mockito.when;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneOffset;
import org.junit.jupiter.api.Test;
import zinctally.store.house.Hosted;
import zinctally.store.machine.MachineStore;

/** What each book has of the machine. The database is absent: it takes what it is told to. */
class SharesTest {
  private final MachineStore machine = mock(MachineStore.class);
  private final Clock clock = mock(Clock.class);
  private final Shares shares = new Shares(machine, clock);

  private static Hosted book(String name, int atOnce, int megabytes) {
    return new Hosted(name, "Wickmere", true, new Hosted.Limits(5, atOnce, megabytes));
  }

  /** One more than may be at one moment; it does not wait where it is told not to. */
  private boolean oneMore(Hosted book) {
    Thread.currentThread().interrupt();
    try (Shares.Share share = shares.take(book)) {
      return share.given();
    } finally {
      assertThat(Thread.interrupted()).isTrue();
    }
  }

  @Test
  void a_book_that_has_all_it_may_waits_and_no_other_does() {
    Hosted bees = book("bees", 2, 100);
    try (Shares.Share first = shares.take(bees);
        Shares.Share second = shares.take(bees)) {
      assertThat(first.given()).isTrue();
      assertThat(second.given()).isTrue();
      assertThat(oneMore(bees)).isFalse();
      try (Shares.Share other = shares.take(book("wax", 1, 100))) {
        assertThat(other.given()).isTrue();
      }
    }
    try (Shares.Share again = shares.take(bees)) {
      assertThat(again.given()).as("what was given back is there again").isTrue();
    }
  }

  @Test
  void what_was_not_given_is_not_given_back() {
    Hosted bees = book("bees", 1, 100);
    try (Shares.Share first = shares.take(bees)) {
      assertThat(first.given()).isTrue();
      assertThat(oneMore(bees)).isFalse();
      assertThat(oneMore(bees)).isFalse();
    }
  }

  @Test
  void another_limit_counts_from_the_next_request_on() {
    try (Shares.Share first = shares.take(book("bees", 1, 100));
        Shares.Share second = shares.take(book("bees", 2, 100))) {
      assertThat(first.given()).isTrue();
      assertThat(second.given()).isTrue();
    }
  }

  @Test
  void a_books_size_is_asked_once_a_minute() {
    Instant start = Instant.parse("2026-11-28T09:00:00Z");
    when(clock.instant()).thenReturn(start);
    when(clock.getZone()).thenReturn(ZoneOffset.UTC);
    when(machine.database())
        .thenReturn(new MachineStore.Database("", 99_000_000))
        .thenReturn(new MachineStore.Database("", 101_000_000));
    Hosted bees = book("bees", 1, 100);
    assertThat(shares.full(bees)).isFalse();
    when(clock.instant()).thenReturn(start.plus(Duration.ofSeconds(59)));
    assertThat(shares.full(bees)).isFalse();
    verify(machine, times(1)).database();
    when(clock.instant()).thenReturn(start.plus(Duration.ofSeconds(61)));
    assertThat(shares.full(bees)).isTrue();
    assertThat(shares.full(book("bees", 1, 102))).as("let take more").isFalse();
  }
}
