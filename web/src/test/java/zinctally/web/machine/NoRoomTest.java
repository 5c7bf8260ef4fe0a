package zinctally.web.machine;

import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.ArgumentMatchers.eq;
import static org.mockito.Mockito.doThrow;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.never;
import static org.mockito.Mockito.verify;
import static org.mockito.Mockito.when;

import jakarta.servlet.FilterChain;
import java.sql.SQLException;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.http.HttpStatus;
import org.springframework.jdbc.UncategorizedSQLException;
import org.springframework.mock.web.MockHttpServletRequest;
import org.springframework.mock.web.MockHttpServletResponse;
import zinctally.web.shell.PlainPage;
import zinctally.web.shell.Say;

class NoRoomTest {
  private static final long MEGABYTE = 1L << 20;
  private final Machine machine = mock(Machine.class);
  private final PlainPage page = mock(PlainPage.class);
  private final NoRoom door = new NoRoom(machine, page, mock(Say.class, call -> "some bytes"));
  private final FilterChain rest = mock(FilterChain.class);

  private void ask(String method, String path) throws Exception {
    door.doFilter(new MockHttpServletRequest(method, path), new MockHttpServletResponse(), rest);
  }

  private void refused() throws Exception {
    verify(page).say(eq("machine/no-room"), any(), eq(HttpStatus.INSUFFICIENT_STORAGE), any());
  }

  @ParameterizedTest
  @CsvSource({
    "63, POST, /drafts/1/post, false",
    "63, GET, /goods, true",
    "63, POST, /sign-in, true",
    "64, POST, /drafts/1/post, true",
  })
  void nothing_more_is_written_once_too_little_is_left(
      long free, String method, String path, boolean goesOn) throws Exception {
    when(machine.room()).thenReturn(new Machine.Room(free * MEGABYTE, 1000 * MEGABYTE));
    ask(method, path);
    if (goesOn) verify(rest).doFilter(any(), any());
    else {
      verify(rest, never()).doFilter(any(), any());
      refused();
    }
  }

  @ParameterizedTest
  @CsvSource({
    "1114, The table 'paper' is full, true",
    "1021, Disk full, true",
    "1030, Got error 28 \"No space left on device\" from storage engine, true",
    "1030, Got error 168 from storage engine, false",
    "1062, Duplicate entry, false",
  })
  void what_the_database_cannot_write_is_told_from_other_faults(
      int code, String message, boolean full) throws Exception {
    when(machine.room()).thenReturn(new Machine.Room(1000 * MEGABYTE, 1000 * MEGABYTE));
    var failed =
        new UncategorizedSQLException("post", null, new SQLException(message, "HY000", code));
    doThrow(failed).when(rest).doFilter(any(), any());
    if (full) {
      ask("POST", "/drafts/1/post");
      refused();
    } else assertThatThrownBy(() -> ask("POST", "/drafts/1/post")).isSameAs(failed);
  }
}
