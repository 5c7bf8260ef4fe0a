package zinctally.web.house;

import java.util.Objects;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.stereotype.Component;
import zinctally.store.house.InHouse;
import zinctally.store.people.PasswordLinks;
import zinctally.store.people.PeopleStore;
import zinctally.store.people.Person;
import zinctally.store.people.Secret;

/** People who set their own password, by a link that is handed to them. */
@Component
@InHouse
class Invited {
  private final PeopleStore people;
  private final PasswordLinks links;
  private final PasswordEncoder hashing;

  Invited(PeopleStore people, PasswordLinks links, PasswordEncoder hashing) {
    this.people = people;
    this.links = links;
    this.hashing = hashing;
  }

  /** Adds one; until the link is used nobody knows the password. */
  void add(String login, String name, Person.Role role) {
    String unknown = Objects.requireNonNull(hashing.encode(Secret.fresh()));
    people.add(login, name.strip(), unknown, role);
  }

  /** Where a person sets a password, once, within a day. */
  String link(String address, Person person, String by) {
    return address + "/new-password?by=" + links.make(person, by);
  }
}
