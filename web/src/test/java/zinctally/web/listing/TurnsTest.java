package zinctally.web.listing;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.time.Clock;
import java.time.Instant;
import java.time.ZoneOffset;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import zinctally.web.listing.Turns.Turn;

class TurnsTest {
  private Instant now = Instant.parse("2026-11-26T09:00:00Z");
  private Turns turns;

  @BeforeEach
  void a_clock_that_is_set_by_hand() {
    turns =
        new Turns(
            new Clock() {
              @Override
              public ZoneOffset getZone() {
                return ZoneOffset.UTC;
              }

              @Override
              public Clock withZone(java.time.ZoneId zone) {
                return this;
              }

              @Override
              public Instant instant() {
                return now;
              }
            });
  }

  private void as_many_as_may_are_made() throws IOException {
    for (int i = 0; i < Turns.AT_ONCE; i++) assertThat(turns.take(null, 0).now()).isTrue();
  }

  @Test
  void who_came_first_is_served_first_and_nobody_pushes_in() throws IOException {
    as_many_as_may_are_made();
    Turn first = turns.take(null, 0);
    Turn second = turns.take(null, 0);
    assertThat(first.before()).isEqualTo(1);
    assertThat(second.before()).isEqualTo(2);
    turns.done();
    assertThat(turns.take(null, 0).before()).isEqualTo(2);
    assertThat(turns.take(second.ticket(), 0).before()).isEqualTo(1);
    assertThat(turns.take(first.ticket(), 0).now()).isTrue();
    assertThat(turns.look(second.ticket()).before()).isEqualTo(1);
    turns.done();
    assertThat(turns.take(second.ticket(), 0).now()).isTrue();
  }

  @Test
  void who_looks_takes_nothing() throws IOException {
    for (int i = 0; i < Turns.AT_ONCE + 3; i++) turns.look(null);
    now = now.plusMillis(Turns.GONE_AFTER + 1);
    as_many_as_may_are_made();
  }

  @Test
  void who_has_gone_away_holds_nobody_up() throws IOException {
    as_many_as_may_are_made();
    turns.take(null, 0);
    now = now.plusMillis(Turns.GONE_AFTER);
    Turn patient = turns.take(null, 0);
    assertThat(patient.before()).isEqualTo(2);
    now = now.plusMillis(1);
    assertThat(turns.look(patient.ticket()).before()).isEqualTo(1);
    turns.done();
    assertThat(turns.take(patient.ticket(), 0).now()).isTrue();
  }
}
