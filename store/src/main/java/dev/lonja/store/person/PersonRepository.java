package dev.lonja.store.person;

import static dev.lonja.store.schema.Tables.PERSON;
import static dev.lonja.store.schema.Tables.PERSON_ROLE;

import dev.lonja.core.person.PersonId;
import dev.lonja.core.person.PersonName;
import dev.lonja.core.person.Role;
import dev.lonja.store.query.FixedQuery;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.jooq.Condition;
import org.jooq.DSLContext;
import org.jooq.Field;
import org.jooq.Record;
import org.jooq.impl.DSL;

/** The people of the store. Every change of what they may do or know ends their sessions. */
public final class PersonRepository {

  private static final FixedQuery STAMP =
      FixedQuery.of(
          DSL.select(PERSON.STAMP).from(PERSON).where(PERSON.ID.eq(FixedQuery.given(PERSON.ID))));

  private final DSLContext context;

  public PersonRepository(DSLContext context) {
    this.context = context;
  }

  /** Everyone, in order of their names, those who are switched off too. */
  public List<Person> all() {
    return where(DSL.noCondition());
  }

  public Optional<Person> byId(PersonId id) {
    return where(PERSON.ID.eq(id)).stream().findFirst();
  }

  /** Whoever is called so, however it is written. */
  public Optional<Person> byName(String typed) {
    return where(PERSON.NAME_KEY.eq(PersonName.keyOf(typed))).stream().findFirst();
  }

  public Optional<Person> byBadge(String badgeHash) {
    return where(PERSON.BADGE_HASH.eq(badgeHash)).stream().findFirst();
  }

  /** True if someone can sign in and administer the store. */
  public boolean hasAdministrator() {
    return all().stream().anyMatch(Person::administers);
  }

  /** How often all sessions of a person were ended; empty if there is no such person. */
  public Optional<Long> stamp(PersonId id) {
    return STAMP.with(context, id).fetchOptional(PERSON.STAMP);
  }

  private List<Person> where(Condition which) {
    Map<PersonId, Set<Role>> roles =
        context
            .select(PERSON_ROLE.PERSON_ID, PERSON_ROLE.ROLE)
            .from(PERSON_ROLE)
            .fetchGroups(PERSON_ROLE.PERSON_ID, row -> Role.valueOf(row.get(PERSON_ROLE.ROLE)))
            .entrySet()
            .stream()
            .collect(Collectors.toMap(Map.Entry::getKey, e -> EnumSet.copyOf(e.getValue())));
    return context
        .selectFrom(PERSON)
        .where(which)
        .orderBy(PERSON.NAME_KEY)
        .fetch(row -> person(row, roles.getOrDefault(row.get(PERSON.ID), Set.of())));
  }

  /** Adds someone who cannot sign in yet; their name must be free. */
  public PersonId add(PersonName name, Set<Role> roles) {
    PersonId id =
        context
            .insertInto(PERSON)
            .set(PERSON.NAME, name.text())
            .set(PERSON.NAME_KEY, name.key())
            .returning(PERSON.ID)
            .fetchSingle(PERSON.ID);
    roles.forEach(role -> addRole(id, role));
    return id;
  }

  private void addRole(PersonId id, Role role) {
    context
        .insertInto(PERSON_ROLE)
        .set(PERSON_ROLE.PERSON_ID, id)
        .set(PERSON_ROLE.ROLE, role.name())
        .execute();
  }

  /** Gives someone these roles in place of those they had. */
  public void setRoles(PersonId id, Set<Role> roles) {
    context.deleteFrom(PERSON_ROLE).where(PERSON_ROLE.PERSON_ID.eq(id)).execute();
    roles.forEach(role -> addRole(id, role));
    endSessions(id);
  }

  /** Switches someone on or off. */
  public void setActive(PersonId id, boolean active) {
    set(id, PERSON.ACTIVE, active ? 1L : 0L);
    endSessions(id);
  }

  /** Sets a password; a code that was given for it is used up. */
  public void setPassword(PersonId id, String hash) {
    set(id, PERSON.PASSWORD_HASH, hash);
    setCode(id, Optional.empty());
    endSessions(id);
  }

  /** Gives someone a code to set a password with, or takes it back. */
  public void setCode(PersonId id, Optional<Person.Code> code) {
    context
        .update(PERSON)
        .set(PERSON.CODE_HASH, code.map(Person.Code::hash).orElse(null))
        .set(PERSON.CODE_UNTIL_AT, code.map(Person.Code::until).orElse(null))
        .where(PERSON.ID.eq(id))
        .execute();
  }

  public void setPin(PersonId id, Optional<String> hash) {
    set(id, PERSON.PIN_HASH, hash.orElse(null));
  }

  public void setBadge(PersonId id, Optional<String> hash) {
    set(id, PERSON.BADGE_HASH, hash.orElse(null));
  }

  /** Ends all sessions of someone, wherever they are signed in. */
  public void endSessions(PersonId id) {
    context
        .update(PERSON)
        .set(PERSON.STAMP, PERSON.STAMP.plus(1))
        .where(PERSON.ID.eq(id))
        .execute();
  }

  /** Counts an edit; false if someone else edited meanwhile. */
  public boolean touch(PersonId id, long readVersion) {
    return context
            .update(PERSON)
            .set(PERSON.VERSION, readVersion + 1)
            .where(PERSON.ID.eq(id), PERSON.VERSION.eq(readVersion))
            .execute()
        == 1;
  }

  private <T> void set(PersonId id, Field<T> field, @org.jspecify.annotations.Nullable T value) {
    context.update(PERSON).set(field, value).where(PERSON.ID.eq(id)).execute();
  }

  private static Person person(Record row, Set<Role> roles) {
    Optional<Person.Code> code =
        Optional.ofNullable(row.get(PERSON.CODE_HASH))
            .map(hash -> new Person.Code(hash, row.get(PERSON.CODE_UNTIL_AT)));
    return new Person(
        row.get(PERSON.ID),
        new PersonName(row.get(PERSON.NAME)),
        roles,
        row.get(PERSON.ACTIVE) == 1,
        new Person.Secrets(
            Optional.ofNullable(row.get(PERSON.PASSWORD_HASH)),
            Optional.ofNullable(row.get(PERSON.PIN_HASH)),
            Optional.ofNullable(row.get(PERSON.BADGE_HASH)),
            code),
        row.get(PERSON.STAMP),
        row.get(PERSON.VERSION));
  }
}
