package zinctally.store.sql;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;

class RowsTest {
  @Test
  void the_marks_of_a_row_stand_as_often_as_there_are_rows_and_what_follows_once() {
    String insert =
        "insert into t (a, b) values (?, year(?)) on duplicate key update b = b + values(b)";
    assertThat(Rows.many(insert, 1)).isEqualTo(insert);
    assertThat(Rows.many(insert, 3))
        .isEqualTo(
            "insert into t (a, b) values (?, year(?)), (?, year(?)), (?, year(?))"
                + " on duplicate key update b = b + values(b)");
  }
}
