package zinctally.demo;

import java.io.IOException;
import org.springframework.beans.factory.InitializingBean;
import org.springframework.stereotype.Component;
import zinctally.store.people.PeopleStore;

/** Writes the demo book before the first page is served. */
@Component
class DemoStart implements InitializingBean {
  private final DemoBook demo;
  private final PeopleStore people;

  DemoStart(DemoBook demo, PeopleStore people) {
    this.demo = demo;
    this.people = people;
  }

  @Override
  public void afterPropertiesSet() throws IOException {
    if (people.nobody()) demo.write();
  }
}
