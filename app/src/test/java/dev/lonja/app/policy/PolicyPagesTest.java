package dev.lonja.app.policy;

import static org.assertj.core.api.Assertions.assertThat;

import dev.lonja.app.server.LonjaServer;
import dev.lonja.app.server.Visitor;
import dev.lonja.core.policy.Choice;
import dev.lonja.core.policy.Holder;
import dev.lonja.core.policy.Question;
import dev.lonja.core.policy.School;
import java.math.BigDecimal;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** A policy is looked at with what it takes before it is put in force, and taken back. */
class PolicyPagesTest {

  private static final Holder BOATS = new Holder.OfClass(4);

  @RegisterExtension static final LonjaServer SERVER = LonjaServer.withDemo();

  private final Visitor visitor = SERVER.signedInAs("storekeeper");

  private static Optional<Choice> own(Holder holder, Question question) {
    return SERVER.store().read(session -> session.policies().all().own(holder, question));
  }

  @AfterEach
  void asItWas() {
    SERVER
        .store()
        .write(
            session -> {
              session.policies().withdraw(BOATS, Question.DRAIN_SEAL);
              session.policies().withdraw(Holder.STORE, Question.CALENDAR_LIMIT);
              return true;
            });
  }

  /** Nothing is in force by looking; then it is, for the boats alone, and the tray says so. */
  @Test
  void whatWouldChangeIsShownBeforeItDoes() {
    Visitor.Page shown =
        visitor.get("/setup/policies/drain-seal?school=NEW_PLUG_AND_SEAL&of=class-4");
    assertThat(shown.words()).contains("For Workboats: new plug and seal", "Difference in cost: +");
    assertThat(own(BOATS, Question.DRAIN_SEAL)).isEmpty();

    Visitor.Page done = visitor.submit(shown.form("/drain-seal"), Map.of());
    assertThat(own(BOATS, Question.DRAIN_SEAL)).contains(Choice.of(School.NEW_PLUG_AND_SEAL));
    assertThat(done.words()).contains("Workboats new plug and seal");
    assertThat(visitor.get("/setup").words()).contains("Workboats: new plug and seal");

    visitor.submit(done.form("/drain-seal/back"), Map.of());
    assertThat(own(BOATS, Question.DRAIN_SEAL)).isEmpty();
  }

  /** The same form twice puts it in force once; taking back what is gone says so. */
  @Test
  void whatComesTwiceIsDoneOnce() {
    Visitor.Page shown =
        visitor.get("/setup/policies/drain-seal?school=REUSE_SOUND_SEAL&of=class-4");
    visitor.submit(shown.form("/drain-seal"), Map.of());
    Visitor.Page again = visitor.submit(shown.form("/drain-seal"), Map.of());
    assertThat(again.words()).doesNotContain("Nothing was changed");
    Visitor.Page other = visitor.get("/setup/policies/drain-seal");
    visitor.submit(other.form("/drain-seal/back"), Map.of());
    Visitor.Page late = visitor.submit(again.form("/drain-seal/back"), Map.of());
    assertThat(late.words()).contains("It has no policy of its own any more");
  }

  /** By the meter alone: the machines say so. */
  @Test
  void theCalendarLimitMayBeGivenUp() {
    Visitor.Page shown = visitor.get("/setup/policies/calendar-limit?school=METER_ALONE&of=store");
    visitor.submit(shown.form("/calendar-limit"), Map.of());
    assertThat(visitor.get("/fleet/FL-4").words()).contains("severity, by the meter alone");
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "air-filter?school=EVERY_NTH&of=class-4&number-every_nth=1|The number n is 1; allowed is 2 to 20.",
        "air-filter?school=EVERY_NTH&of=class-4&number-every_nth=2,5|The number n is 2,5; write a whole number.",
        "air-filter?school=EVERY_NTH&of=class-4|The number n is",
        "air-filter?school=NEW_SEAL&of=class-4|Choose one of the ways that are offered.",
        "air-filter?school=EVERY_SERVICE&of=|Choose for whom it holds.",
        "air-filter?school=EVERY_SERVICE&of=class-99|Choose one that this question is about.",
        "service-interval?school=BY_SEVERITY&of=compartment-1|Choose one that this question is"
      })
  void whatCannotBeIsSaid(String address, String words) {
    Visitor.Page page = visitor.get("/setup/policies/" + address);
    assertThat(page.status()).isEqualTo(200);
    assertThat(page.words()).contains(words);
    assertThat(page.words()).doesNotContain("Put it in force");
  }

  /** What was looked at is judged again when it is sent. */
  @Test
  void whatIsSentIsJudgedAgain() {
    Visitor.Page shown = visitor.get("/setup/policies/drain-seal?school=NEW_SEAL&of=class-4");
    Visitor.Page gone = visitor.submit(shown.form("/drain-seal"), Map.of("of", "position-99999"));
    assertThat(gone.words()).contains("There is nothing of that kind");
    Visitor.Page wrong = visitor.submit(shown.form("/drain-seal"), Map.of("school", "BY_HAND"));
    assertThat(wrong.words()).contains("Choose one of the ways that are offered.");
    assertThat(own(BOATS, Question.DRAIN_SEAL)).isEmpty();
  }

  @Test
  void whoOnlyReadsSeesNoForms() {
    Visitor auditor = SERVER.signedInAs("auditor");
    Visitor.Page page =
        auditor.get("/setup/policies/drain-seal?school=NEW_PLUG_AND_SEAL&of=class-4");
    assertThat(page.words()).contains("For Workboats").doesNotContain("Put it in force");
    assertThat(visitor.get("/setup/policies/no-such-question").status()).isEqualTo(404);
  }

  /** The boat hoists' air filters are replaced every third time; the number comes with the demo. */
  @Test
  void theNumberOfAnExceptionIsSaid() {
    assertThat(own(new Holder.OfClass(5), Question.AIR_FILTER))
        .contains(Choice.of(School.EVERY_NTH, BigDecimal.valueOf(3)));
    assertThat(visitor.get("/setup").words()).contains("Boat hoists: replace every 3rd service");
  }
}
