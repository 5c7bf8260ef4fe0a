package zinctally.web.ask;

import jakarta.mail.MessagingException;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.TimeUnit;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.core.io.ByteArrayResource;
import org.springframework.mail.MailException;
import org.springframework.mail.javamail.JavaMailSender;
import org.springframework.mail.javamail.MimeMessageHelper;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;
import zinctally.store.book.BookStore;
import zinctally.store.people.PeopleStore;
import zinctally.store.people.Person;
import zinctally.store.question.OutboxStore;
import zinctally.store.question.OutboxStore.Letter;
import zinctally.store.question.QuestionStore;
import zinctally.store.question.QuestionStore.Kept;
import zinctally.store.question.ScheduleStore;
import zinctally.store.question.ScheduleStore.Planned;
import zinctally.web.file.Download;
import zinctally.web.listing.ListFile;
import zinctally.web.shell.Sees;

/**
 * Asks questions whose time has come and puts the answers into the outbox; mail goes out from there
 * where a server for it is set ({@code spring.mail.host}), and stays there to be looked at else.
 */
@Component
public class Sending {
  private static final Logger LOG = LoggerFactory.getLogger(Sending.class);
  private final ScheduleStore schedules;
  private final QuestionStore questions;
  private final OutboxStore outbox;
  private final PeopleStore people;
  private final BookStore books;
  private final Asking asking;
  private final ListFile files;
  private final Sees sees;
  private final ObjectProvider<JavaMailSender> mail;
  private final String from;

  Sending(
      ScheduleStore schedules,
      QuestionStore questions,
      OutboxStore outbox,
      PeopleStore people,
      BookStore books,
      Asking asking,
      ListFile files,
      Sees sees,
      ObjectProvider<JavaMailSender> mail,
      @Value("${zinc.mail.from:books@localhost}") String from) {
    this.schedules = schedules;
    this.questions = questions;
    this.outbox = outbox;
    this.people = people;
    this.books = books;
    this.asking = asking;
    this.files = files;
    this.sees = sees;
    this.mail = mail;
    this.from = from;
  }

  /** Asks what is due and sends what waits. */
  @Scheduled(
      initialDelayString = "${zinc.send.first:30}",
      fixedDelayString = "${zinc.send.every:30}",
      timeUnit = TimeUnit.SECONDS)
  public void send() {
    if (books.find().isEmpty()) return;
    for (Planned planned : schedules.take())
      try {
        ask(planned);
      } catch (IOException | RuntimeException failed) {
        LOG.error("question {} could not be asked by itself", planned.question(), failed);
      }
    JavaMailSender sender = mail.getIfAvailable();
    if (sender == null) return;
    while (outbox.sendNext(letter -> sent(sender, letter))) LOG.info("a letter went out");
  }

  private void ask(Planned planned) throws IOException {
    Optional<Kept> kept = questions.find(planned.question());
    Optional<Person> who = people.find(planned.login()).filter(Person::active);
    if (kept.isEmpty() || who.isEmpty()) return;
    Person person = who.get();
    if (!kept.get().mayRead(person.login(), person.role().name())) return;
    Map<String, String> asked = Asking.read(kept.get().asked());
    Optional<Asking.Asked> answer = asking.ask(kept.get().name(), asked, sees.by(person.role()));
    if (answer.isEmpty()) return;
    ByteArrayOutputStream file = new ByteArrayOutputStream();
    files.write(planned.form(), answer.get().answer().listing(), asked, file);
    List<String> faults = answer.get().answer().faults();
    String words =
        kept.get().name()
            + " of "
            + books.book().name()
            + ", as it is asked "
            + planned.when().words()
            + "."
            + (faults.isEmpty() ? "" : "\n\n" + String.join("\n", faults));
    outbox.add(
        new Letter(
            0,
            String.join(", ", planned.to()),
            kept.get().name(),
            words,
            Download.fileName(kept.get().name(), planned.form()),
            file.toByteArray(),
            planned.login()),
        mail.getIfAvailable() != null);
  }

  private String sent(JavaMailSender sender, Letter letter) {
    try {
      var message = sender.createMimeMessage();
      MimeMessageHelper helper = new MimeMessageHelper(message, true, "UTF-8");
      helper.setFrom(from);
      helper.setTo(letter.to().split(",\\s*"));
      helper.setSubject(letter.subject());
      helper.setText(letter.words());
      helper.addAttachment(letter.fileName(), new ByteArrayResource(letter.file()));
      sender.send(message);
      return "";
    } catch (MessagingException | MailException failed) {
      return String.valueOf(failed.getMessage());
    }
  }
}
