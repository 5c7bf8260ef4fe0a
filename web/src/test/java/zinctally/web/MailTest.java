package zinctally.web;

import static org.assertj.core.api.Assertions.assertThat;

import jakarta.mail.Session;
import jakarta.mail.internet.MimeMessage;
import jakarta.mail.internet.MimeMultipart;
import java.io.BufferedReader;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.InputStreamReader;
import java.io.PrintWriter;
import java.net.InetAddress;
import java.net.ServerSocket;
import java.net.Socket;
import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Properties;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import zinctally.core.number.Coin;
import zinctally.store.book.BookStore;
import zinctally.store.question.OutboxStore;
import zinctally.web.ask.Sending;

/** Letters go out over SMTP (RFC 5321), and one that a server refuses says why. */
class MailTest {
  private static final List<String> TAKEN = new ArrayList<>();
  private static ServerSocket server;
  private static Desk desk;

  @BeforeAll
  static void a_mail_server_on_loopback() throws IOException {
    server = new ServerSocket(0, 5, InetAddress.getLoopbackAddress());
    Thread thread = new Thread(MailTest::serve, "mail");
    thread.setDaemon(true);
    thread.start();
    System.setProperty("spring.mail.host", "127.0.0.1");
    System.setProperty("spring.mail.port", String.valueOf(server.getLocalPort()));
    desk = new Desk("own");
    desk.get(BookStore.class)
        .save("Wickmere Bee Yard", Coin.of("EUR"), LocalDate.of(2026, 1, 1), false, false);
  }

  @AfterAll
  static void close() throws IOException {
    System.clearProperty("spring.mail.host");
    System.clearProperty("spring.mail.port");
    desk.close();
    server.close();
  }

  /** Takes what comes, but for nobody@. */
  private static void serve() {
    while (!server.isClosed())
      try (Socket client = server.accept();
          BufferedReader in =
              new BufferedReader(
                  new InputStreamReader(client.getInputStream(), StandardCharsets.UTF_8));
          PrintWriter out = new PrintWriter(client.getOutputStream(), true)) {
        talk(in, out);
      } catch (IOException over) {
        continue;
      }
  }

  private static void talk(BufferedReader in, PrintWriter out) throws IOException {
    out.print("220 wickmere.example\r\n");
    out.flush();
    for (String line = in.readLine(); line != null; line = in.readLine()) {
      String answer = "250 fine";
      if (line.startsWith("RCPT") && line.contains("nobody@")) answer = "550 nobody of that name";
      if (line.startsWith("QUIT")) answer = "221 bye";
      if (line.startsWith("DATA")) {
        out.print("354 go on\r\n");
        out.flush();
        StringBuilder data = new StringBuilder();
        for (String said = in.readLine(); !said.equals("."); said = in.readLine())
          data.append(said).append("\r\n");
        TAKEN.add(data.toString());
      }
      out.print(answer + "\r\n");
      out.flush();
      if (line.startsWith("QUIT")) return;
    }
  }

  private static void put(String to) {
    byte[] file = "Item,Worth\r\nHive,12.50\r\n".getBytes(StandardCharsets.UTF_8);
    desk.get(OutboxStore.class)
        .add(
            new OutboxStore.Letter(
                0, to, "Stock, größte zuerst", "As asked.", "stock.csv", file, "owner"),
            true);
  }

  private static String state() {
    return desk.sql()
        .sql("select concat(state, ' ', fault) from outbox order by id desc limit 1")
        .query(String.class)
        .single();
  }

  @Test
  void a_letter_goes_out_with_its_file_and_is_marked_as_sent() throws Exception {
    put("office@wickmere.example, owner@wickmere.example");
    desk.get(Sending.class).send();
    assertThat(state()).isEqualTo("SENT ");
    MimeMessage letter =
        new MimeMessage(
            Session.getInstance(new Properties()),
            new ByteArrayInputStream(TAKEN.get(0).getBytes(StandardCharsets.UTF_8)));
    assertThat(letter.getSubject()).isEqualTo("Stock, größte zuerst");
    assertThat(letter.getAllRecipients()).hasSize(2);
    MimeMultipart parts = (MimeMultipart) letter.getContent();
    assertThat(parts.getBodyPart(1).getFileName()).isEqualTo("stock.csv");
    assertThat(
            new String(
                parts.getBodyPart(1).getInputStream().readAllBytes(), StandardCharsets.UTF_8))
        .isEqualTo("Item,Worth\r\nHive,12.50\r\n");
  }

  @Test
  void a_letter_that_is_refused_says_why() {
    put("nobody@wickmere.example");
    desk.get(Sending.class).send();
    assertThat(state()).startsWith("FAILED ").contains("nobody of that name");
  }
}
