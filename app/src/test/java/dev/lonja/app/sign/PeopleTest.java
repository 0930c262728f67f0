package dev.lonja.app.sign;

import static org.assertj.core.api.Assertions.assertThat;

import dev.lonja.app.server.LonjaServer;
import dev.lonja.app.server.Visitor;
import dev.lonja.core.person.PersonId;
import dev.lonja.store.audit.AuditLine;
import dev.lonja.store.audit.Deed;
import dev.lonja.store.audit.Matter;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Adding people, what they may do, their passwords, and that changes end their sessions. */
class PeopleTest {

  private static final String PASSWORD = "three gulls and a rope";

  @RegisterExtension static final LonjaServer SERVER = LonjaServer.withDemo();

  private final Visitor administrator = SERVER.newlySignedInAs("administrator");

  /** Adds someone with a role and lets them set a password; answers the path of their page. */
  private String newPerson(String name, String role) {
    Visitor.Page added =
        administrator.submit(
            administrator.get("/setup/people").form("/setup/people"),
            Map.of("name", name, "roles", role));
    assertThat(added.path()).startsWith("/setup/people/");
    String code = code(added);
    Visitor theirs = SERVER.stranger();
    Visitor.Page set = setPassword(theirs, name, code, PASSWORD);
    assertThat(set.path()).isEqualTo("/sign-in?changed");
    return added.path();
  }

  private String code(Visitor.Page person) {
    Visitor.Page given = administrator.submit(person.form("/code"), Map.of());
    return given.text(".notice .text-xl");
  }

  private static Visitor.Page setPassword(
      Visitor visitor, String name, String code, String password) {
    return visitor.submit(
        visitor.get("/new-password").form("/new-password"),
        Map.of("name", name, "oneTimeCode", code, "newPassword", password));
  }

  private static Visitor signedIn(String name) {
    Visitor visitor = SERVER.stranger();
    assertThat(visitor.signIn(name, PASSWORD).path()).isIn("/", "/trays");
    return visitor;
  }

  private static List<Deed> deeds(String path) {
    PersonId id = PersonId.valueOf(path.substring(path.lastIndexOf('/') + 1));
    return SERVER
        .store()
        .<List<AuditLine>>read(session -> session.audit().latest(Matter.PERSON, id, 20))
        .stream()
        .map(AuditLine::deed)
        .toList();
  }

  @Test
  void someoneNewSetsAPasswordWithACodeThatWorksOnce() {
    Visitor.Page added =
        administrator.submit(
            administrator.get("/setup/people").form("/setup/people"),
            Map.of("name", "  Mole   Keeper ", "roles", "storekeeper"));
    assertThat(added.text("h1")).isEqualTo("Mole Keeper");
    assertThat(added.text(".title")).contains("no password yet");
    String code = code(added);
    assertThat(code).matches("[2-9A-Z]{5}-[2-9A-Z]{5}");
    assertThat(administrator.get(added.path()).document().text()).doesNotContain(code);
    Visitor theirs = SERVER.stranger();
    assertThat(setPassword(theirs, "mole keeper", code, "short").words())
        .contains("The password has 5 characters; allowed is 12 or more");
    assertThat(setPassword(theirs, "mole keeper", code, "password1234").words())
        .contains("among those that people use");
    assertThat(setPassword(theirs, "MOLE keeper", code.toLowerCase(), PASSWORD).path())
        .isEqualTo("/sign-in?changed");
    assertThat(signedIn("mole keeper").get("/").text(".band")).contains("Mole Keeper");
    assertThat(setPassword(theirs, "Mole Keeper", code, PASSWORD).words())
        .contains("That is no code for this name, or it is used or too old");
    assertThat(deeds(added.path()))
        .containsExactly(Deed.SIGNED_IN, Deed.PASSWORD_CHANGED, Deed.CODE_GIVEN, Deed.ADDED);
  }

  @ParameterizedTest
  @CsvSource({
    "'', storekeeper, Give a name of 1 to 60 characters.",
    "STOREKEEPER, buyer, 'There is \"storekeeper\" already'",
    "Somebody, '', Choose at least one role.",
    "Somebody, captain, Choose roles of the list.",
  })
  void whatIsWrongWithSomeoneNewIsSaid(String name, String role, String problem) {
    Visitor.Page answer =
        administrator.submit(
            administrator.get("/setup/people").form("/setup/people"),
            role.isEmpty() ? Map.of("name", name) : Map.of("name", name, "roles", role));
    assertThat(answer.words()).contains("Nothing was changed").contains(problem);
    assertThat(answer.document().select("#name").val()).isEqualTo(name);
  }

  @ParameterizedTest
  @CsvSource({"roles, 'Ended, by roles'", "active, 'Ended, by being off'", "sessions, Ended"})
  void whatChangesWhatTheyMayDoEndsTheirSessionsAtOnce(String form, String name) {
    String path = newPerson(name, "storekeeper");
    Visitor theirs = signedIn(name);
    Visitor elsewhere = signedIn(name);
    assertThat(theirs.get("/book").path()).isEqualTo("/book");
    administrator.submit(administrator.get(path).form("/" + form), Map.of("roles", "buyer"));
    assertThat(theirs.get("/book").path()).isEqualTo("/sign-in");
    assertThat(elsewhere.get("/book").path()).isEqualTo("/sign-in");
  }

  @Test
  void whoIsSwitchedOffCannotSignInUntilTheyAreSwitchedOn() {
    String path = newPerson("Off and On", "buyer");
    administrator.submit(administrator.get(path).form("/active"), Map.of());
    assertThat(SERVER.stranger().signIn("Off and On", PASSWORD).path()).isEqualTo("/sign-in?wrong");
    administrator.submit(administrator.get(path).form("/active"), Map.of());
    signedIn("Off and On");
    assertThat(deeds(path)).contains(Deed.SWITCHED_OFF, Deed.SWITCHED_ON);
  }

  @Test
  void oneAdministratorRemains() {
    String own = own("administrator");
    assertThat(administrator.submit(administrator.get(own).form("/active"), Map.of()).words())
        .contains("Nobody else administers this store");
    Visitor.Page page = administrator.get(own);
    assertThat(administrator.submit(page.form("/roles"), Map.of("roles", "buyer")).words())
        .contains("Nobody else administers this store");
    assertThat(administrator.get("/setup/people").status()).isEqualTo(200);
  }

  private String own(String name) {
    return administrator.get("/setup/people").document().select("td a").stream()
        .filter(link -> link.text().equals(name))
        .findFirst()
        .orElseThrow()
        .attr("href");
  }

  @Test
  void someoneWithTwoRolesMayDoBoth() {
    String path = newPerson("Two Hats", "workshop");
    assertThat(signedIn("Two Hats").get("/book").status()).isEqualTo(403);
    Visitor.Page page = administrator.get(path);
    Map<String, String> fields = Visitor.filled(page.form("/roles"), Map.of());
    fields.put("roles", "workshop,buyer");
    administrator.post(page.form("/roles").attr("action"), fields);
    assertThat(signedIn("Two Hats").get("/book").status()).isEqualTo(200);
    assertThat(signedIn("Two Hats").get("/").path()).isEqualTo("/");
  }

  @Test
  void everyoneChangesTheirOwnPasswordAndIsSignedOutEverywhere() {
    newPerson("Own Password", "auditor");
    Visitor here = signedIn("Own Password");
    Visitor there = signedIn("Own Password");
    Visitor.Page me = here.get("/me");
    assertThat(
            here.submit(
                    me.form("/password"),
                    Map.of("password", "not that", "newPassword", "a rope and five gulls"))
                .words())
        .contains("That is not your password of now");
    Visitor.Page changed =
        here.submit(
            here.get("/me").form("/password"),
            Map.of("password", PASSWORD, "newPassword", "a rope and five gulls"));
    assertThat(changed.path()).isEqualTo("/sign-in?changed");
    assertThat(there.get("/book").path()).isEqualTo("/sign-in");
    assertThat(SERVER.stranger().signIn("Own Password", "a rope and five gulls").path())
        .isEqualTo("/");
  }

  @Test
  void everyoneSeesAndEndsTheirOwnSessions() {
    newPerson("Two Devices", "buyer");
    Visitor here = signedIn("Two Devices");
    Visitor there = signedIn("Two Devices");
    Visitor.Page me = here.get("/me");
    assertThat(me.document().select("tbody tr")).hasSize(2);
    here.submit(me.form("/sessions/end"), Map.of());
    assertThat(there.get("/book").path()).isEqualTo("/sign-in");
    assertThat(here.get("/me").document().select("tbody tr")).hasSize(1);
    assertThat(here.submit(here.get("/me").form("/me/sessions"), Map.of()).path())
        .isEqualTo("/sign-in?left");
    assertThat(here.get("/book").path()).isEqualTo("/sign-in");
  }

  @Test
  void pinAndBadge() {
    String path = newPerson("Pin and Badge", "workshop");
    assertThat(pin(path, "1234").words()).contains("A PIN has 4 to 8 digits");
    assertThat(pin(path, "4711").text("label[for=pin]")).contains("PIN, set");
    assertThat(badge(path, "x").words()).contains("A badge says 4 to 60 characters");
    assertThat(badge(path, "HB-000417").text("label[for=badge]")).contains("known");
    String other = newPerson("Other Badge", "workshop");
    assertThat(badge(other, "hb-000417").words()).contains("That badge is Pin and Badge's");
    assertThat(pin(path, "").text("label[for=pin]")).contains("4 to 8 digits");
  }

  private Visitor.Page pin(String path, String pin) {
    return administrator.submit(administrator.get(path).form("/pin"), Map.of("pin", pin));
  }

  private Visitor.Page badge(String path, String badge) {
    return administrator.submit(administrator.get(path).form("/badge"), Map.of("badge", badge));
  }

  @Test
  void whoDidWhatIsFilteredAndGoesOutAsLinesOfJson() {
    newPerson("In the Audit", "workshop");
    signedIn("In the Audit");
    Visitor.Page page = administrator.get("/setup/audit?who=in+the&deed=signed_in");
    assertThat(page.document().select("tbody tr")).hasSize(1);
    assertThat(page.words()).contains("In the Audit").contains("signed in").contains("127.0.0.1");
    assertThat(administrator.get("/setup/audit?deed=flown&from=yesterday").words())
        .contains("Choose one of the list, or all.")
        .contains("\"yesterday\" is not a date");
    String lines = new String(administrator.bytes("/setup/audit.jsonl?who=in+the"));
    assertThat(lines.lines())
        .allMatch(line -> line.startsWith("{\"recorded_at\":\"2027-03-15T"))
        .anyMatch(line -> line.contains("\"deed\":\"password_changed\""))
        .anyMatch(line -> line.contains("\"deed\":\"signed_in\""));
    assertThat(administrator.get("/setup/audit?deed=exported").document().select("tbody tr"))
        .isNotEmpty();
  }
}
