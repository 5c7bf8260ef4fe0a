package zinctally.core.cost;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class PostingDateTest {
  @ParameterizedTest(name = "{3}")
  @CsvSource({
    "2026-03-10, 2026-03-20, 2026-01-01, 2026-03-20, a late bill corrects on its own day",
    "2026-03-20, 2026-03-10, 2026-01-01, 2026-03-20, a paper entered late corrects a sale on that",
    "2026-03-10, 2026-03-20, 2026-04-01, 2026-04-01, a closed period never moves",
    "2026-03-10, 2026-04-20, 2026-04-01, 2026-04-20, what is later than the closing stays later",
    "2026-04-01, 2026-04-01, 2026-04-01, 2026-04-01, the first open day itself is open"
  })
  void a_difference_is_posted_on_the_latest_of_three_days(
      LocalDate touched, LocalDate cause, LocalDate firstOpenDay, LocalDate posted, String why) {
    assertThat(PostingDate.of(touched, cause, firstOpenDay)).as(why).isEqualTo(posted);
  }
}
