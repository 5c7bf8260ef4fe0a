package zinctally.store.cluster;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.mockito.ArgumentMatchers.anyString;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.never;
import static org.mockito.Mockito.verify;
import static org.mockito.Mockito.when;

import java.sql.Connection;
import java.sql.SQLException;
import java.sql.SQLTransientConnectionException;
import java.time.Duration;
import java.util.List;
import java.util.Set;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;

/** Which of several servers is written to. The servers are absent: three cannot die in a test. */
class ClusterSourceTest {
  private final Server one = server("one:1");
  private final Server two = server("two:2");
  private final Server three = server("three:3");
  private final ClusterSource cluster =
      new ClusterSource(List.of(one, two, three), Duration.ofMinutes(2));

  @AfterEach
  void closed() {
    cluster.close();
  }

  private static Server server(String address) {
    Server server = mock(Server.class);
    when(server.address()).thenReturn(address);
    return server;
  }

  private static void sees(Server server, String writing, String... members) throws SQLException {
    when(server.view()).thenReturn(new Server.View(writing, Set.of(members)));
  }

  private static void gone(Server server) throws SQLException {
    SQLException gone = new SQLTransientConnectionException("gone");
    when(server.view()).thenThrow(gone);
    when(server.writing()).thenThrow(gone);
  }

  private static Connection writes(Server server) throws SQLException {
    Connection connection = mock(Connection.class);
    when(server.writing()).thenReturn(connection);
    return connection;
  }

  @Test
  void who_is_written_to_stands_in_the_book_not_in_the_order_of_the_servers() throws Exception {
    Connection there = writes(three);
    sees(one, "three:3", "one:1", "two:2", "three:3");

    cluster.look();

    assertThat(cluster.getConnection()).isSameAs(there);
    verify(one).leave();
    verify(one, never()).takesOver(anyString());
  }

  @Test
  void another_takes_the_place_of_one_that_is_of_the_cluster_no_more() throws Exception {
    gone(one);
    Connection there = writes(two);
    sees(two, "one:1", "two:2", "three:3");
    when(two.takesOver("one:1")).thenReturn(true);

    cluster.look();

    assertThat(cluster.getConnection()).isSameAs(there);
    verify(one).leave();
  }

  @Test
  void one_that_does_not_answer_but_is_of_the_cluster_keeps_its_place() throws Exception {
    gone(one);
    sees(two, "one:1", "one:1", "two:2", "three:3");
    sees(three, "one:1", "one:1", "two:2", "three:3");

    cluster.look();

    verify(two, never()).takesOver(anyString());
    verify(three, never()).takesOver(anyString());
    verify(one, never()).leave();
  }

  @Test
  void who_comes_second_to_the_place_follows_the_first() throws Exception {
    gone(one);
    sees(two, "one:1", "two:2", "three:3");
    when(two.takesOver("one:1")).thenReturn(false);
    sees(three, "three:3", "two:2", "three:3");
    Connection there = writes(three);

    cluster.look();

    assertThat(cluster.getConnection()).isSameAs(there);
  }

  @Test
  void a_server_that_is_cut_off_takes_no_place() throws Exception {
    gone(one);
    gone(two);
    gone(three);

    cluster.look();

    verify(two, never()).takesOver(anyString());
    verify(three, never()).takesOver(anyString());
  }

  @Test
  void a_connection_is_waited_for_until_another_server_is_written_to() throws Exception {
    Connection there = mock(Connection.class);
    when(one.writing())
        .thenThrow(new SQLTransientConnectionException("not here"))
        .thenReturn(there);

    assertThat(cluster.getConnection()).isSameAs(there);
  }

  @Test
  void nobody_is_waited_for_without_end() throws Exception {
    gone(one);
    try (ClusterSource hasty = new ClusterSource(List.of(one, two), Duration.ZERO)) {
      assertThatThrownBy(hasty::getConnection).isInstanceOf(SQLTransientConnectionException.class);
    }
  }
}
