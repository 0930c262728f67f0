package dev.lonja.store.person;

import static dev.lonja.store.schema.Tables.PERSON;

import java.util.Optional;
import org.jooq.DSLContext;
import org.jooq.Record;

/** The people of the store. */
public final class PersonRepository {

  private final DSLContext context;

  public PersonRepository(DSLContext context) {
    this.context = context;
  }

  public Optional<Person> byName(String name) {
    return context
        .selectFrom(PERSON)
        .where(PERSON.NAME.eq(name))
        .fetchOptional(PersonRepository::person);
  }

  /** True if someone can sign in and administer the store. */
  public boolean hasAdministrator() {
    return context.fetchExists(
        PERSON,
        PERSON
            .ROLE
            .eq(Person.Role.ADMINISTRATOR.name())
            .and(PERSON.ACTIVE.eq(1L))
            .and(PERSON.PASSWORD_HASH.isNotNull()));
  }

  /** Adds a person, or gives one who is known by that name this role and password. */
  public void save(String name, Person.Role role, String passwordHash) {
    context
        .insertInto(PERSON, PERSON.NAME, PERSON.ROLE, PERSON.PASSWORD_HASH)
        .values(name, role.name(), passwordHash)
        .onConflict(PERSON.NAME)
        .doUpdate()
        .set(PERSON.ROLE, role.name())
        .set(PERSON.PASSWORD_HASH, passwordHash)
        .set(PERSON.ACTIVE, 1L)
        .execute();
  }

  private static Person person(Record row) {
    return new Person(
        row.get(PERSON.ID),
        row.get(PERSON.NAME),
        Person.Role.valueOf(row.get(PERSON.ROLE)),
        Optional.ofNullable(row.get(PERSON.PASSWORD_HASH)),
        row.get(PERSON.ACTIVE) == 1);
  }
}
