package zinctally.web;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.springframework.dao.DataAccessException;
import org.springframework.jdbc.core.simple.JdbcClient;

/** What the application could do at most in the database, whoever gets it to. */
class DatabaseAccountTest extends OwnBookTest {
  private static JdbcClient application() {
    return desk.get(JdbcClient.class);
  }

  @Test
  void what_is_posted_and_who_did_it_can_be_added_to_and_never_changed() {
    Stream.of(
            "journal",
            "journal_line",
            "cost_entry",
            "quantity_move",
            "paper_line",
            "paper_version",
            "audit")
        .flatMap(
            table ->
                Stream.of(
                    "delete from " + table + " where 1 = 0",
                    "update "
                        + table
                        + " t join (select 1 as one) o set t."
                        + column(table)
                        + " = t."
                        + column(table)
                        + " where 1 = 0",
                    "truncate table " + table))
        .forEach(DatabaseAccountTest::refused);
    assertThat(application().sql("delete from draft where 1 = 0").update()).isZero();
  }

  private static String column(String table) {
    return desk.sql()
        .sql(
            "select column_name from information_schema.columns where table_schema = database()"
                + " and table_name = ? order by ordinal_position limit 1")
        .param(table)
        .query(String.class)
        .single();
  }

  @Test
  void it_makes_no_tables_reads_no_files_and_sees_no_other_book() {
    refused("create table mine (id int)");
    refused("drop table draft");
    refused("select * from mysql.user");
    refused("create database zinc_mine");
    refused("update flyway_schema_history set success = 0");
    assertThat(application().sql("select load_file('/etc/passwd')").query(String.class).optional())
        .isEmpty();
    String other = "zinc_other_" + System.nanoTime();
    desk.sql().sql("create database " + other).update();
    try {
      refused("create table " + other + ".mine (id int)");
      assertThat(
              application()
                  .sql("select schema_name from information_schema.schemata")
                  .query(String.class)
                  .list())
          .doesNotContain(other, "mysql");
    } finally {
      desk.sql().sql("drop database " + other).update();
    }
  }

  private static void refused(String statement) {
    assertThatThrownBy(() -> application().sql(statement).update())
        .as(statement)
        .isInstanceOf(DataAccessException.class)
        .rootCause()
        .hasMessageContaining("denied");
  }
}
