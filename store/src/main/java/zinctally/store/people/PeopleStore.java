package zinctally.store.people;

import java.sql.ResultSet;
import java.sql.SQLException;
import java.util.List;
import java.util.Optional;
import org.springframework.dao.DuplicateKeyException;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import org.springframework.transaction.annotation.Transactional;
import zinctally.store.Audit;

/** Who may sign in. Passwords are hashed before they come here. */
@Repository
public class PeopleStore {
  private final JdbcClient sql;
  private final Audit audit;

  PeopleStore(JdbcClient sql, Audit audit) {
    this.sql = sql;
    this.audit = audit;
  }

  public boolean nobody() {
    return sql.sql("select not exists (select 1 from app_user)").query(Boolean.class).single();
  }

  public Optional<Person> find(String login) {
    return sql.sql("select * from app_user where login = ?")
        .param(login)
        .query(PeopleStore::row)
        .optional();
  }

  public List<Person> all() {
    return sql.sql("select * from app_user order by name").query(PeopleStore::row).list();
  }

  public void add(String login, String name, String hash, Person.Role role) {
    sql.sql("insert into app_user (login, name, password, role) values (?, ?, ?, ?)")
        .params(login, name, hash, role.name())
        .update();
  }

  /**
   * The first of all, who owns what is here; of two at one moment one is.
   *
   * @return whether there was nobody yet; if not, nothing is changed
   */
  public boolean first(String login, String name, String hash) {
    if (!nobody()) return false;
    try {
      return sql.sql(
                  "insert into app_user (id, login, name, password, role) values (1, ?, ?, ?, ?)")
              .params(login, name, hash, Person.Role.OWNER.name())
              .update()
          > 0;
    } catch (DuplicateKeyException another) {
      return false;
    }
  }

  /** How many may sign in. */
  public int active() {
    return sql.sql("select count(*) from app_user where active").query(Integer.class).single();
  }

  /** Changes what a person may do; one active owner always remains. */
  public boolean change(long id, Person.Role role, boolean active, boolean maySellShort) {
    return sql.sql(
                """
                update app_user set role = :role, active = :active, may_sell_short = :short where id = :id
                  and ((:role = 'OWNER' and :active)
                    or (select n from (select count(*) as n from app_user
                        where role = 'OWNER' and active and id <> :id) o) > 0)
                """)
            .param("role", role.name())
            .param("active", active)
            .param("short", maySellShort)
            .param("id", id)
            .update()
        > 0;
  }

  /** Another password of a person, hashed. */
  @Transactional
  public void password(Person person, String hash, String by) {
    sql.sql("update app_user set password = ? where id = ?").params(hash, person.id()).update();
    sql.sql("delete from password_link where user_id = ?").param(person.id()).update();
    audit.write(by, "person", person.id(), "changed the password", person.login());
  }

  public Optional<Person> find(long id) {
    return sql.sql("select * from app_user where id = ?")
        .param(id)
        .query(PeopleStore::row)
        .optional();
  }

  /** In which form a person writes figures; empty for as the book does. */
  public void figures(long id, String form) {
    sql.sql("update app_user set figures = nullif(?, '') where id = ?").params(form, id).update();
  }

  /** By which a person is named at the counter; empty for none. */
  public void initials(long id, String initials) {
    sql.sql("update app_user set initials = nullif(?, '') where id = ?")
        .params(initials, id)
        .update();
  }

  private static Person row(ResultSet row, int n) throws SQLException {
    return new Person(
        row.getLong("id"),
        row.getString("login"),
        row.getString("name"),
        row.getString("password"),
        Person.Role.valueOf(row.getString("role")),
        row.getBoolean("active"),
        row.getBoolean("may_sell_short"),
        row.getString("initials") == null ? "" : row.getString("initials"),
        row.getString("figures") == null ? "" : row.getString("figures"));
  }
}
