package dev.lonja.app.study;

import static org.assertj.core.api.Assertions.assertThat;

import dev.lonja.app.server.LonjaServer;
import dev.lonja.app.server.Visitor;
import java.util.HashMap;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/** Studies of the least set of products: made, kept, compared, put into effect. */
class StudyPageTest {

  @RegisterExtension static final LonjaServer SERVER = LonjaServer.withDemo();

  private Visitor.Page make(Visitor visitor, Map<String, String> typed) {
    return visitor.submit(visitor.get("/oils/studies").form("/oils/studies"), typed);
  }

  /** Faro costs 3.10 a litre and Grua 4.30: where both serve all year, Faro is proposed. */
  @Test
  void aStudyIsMadeKeptAndPutIntoEffect() {
    Visitor visitor = SERVER.signedInAs("storekeeper");
    Visitor.Page study = make(visitor, Map.of());
    assertThat(study.path()).startsWith("/oils/studies/");
    assertThat(study.text("tr:contains(Engine sump, Brannoch D25)"))
        .contains("Sundrel Grua Maretta Faro");
    // ash at most 1.1 %: Faro may not go in there
    assertThat(study.document().select("tr:contains(Engine sump, Brannoch G20)").last().text())
        .endsWith("Sundrel Grua Sundrel Grua");
    Visitor.Page applied = visitor.submit(study.form("/apply"), Map.of());
    assertThat(applied.words()).contains("4 compartments change over by this study.");
    String day = applied.text("tr:contains(Engine sump, Brannoch D25) td.code");
    assertThat(day).isNotBlank();
    Visitor.Page back = visitor.submit(applied.form("/take-back"), Map.of());
    assertThat(back.words()).doesNotContain("change over by this study");
    assertThat(SERVER.isSound()).isTrue();
  }

  @Test
  void whatIsForbiddenAndKeptIsHeld() {
    Visitor visitor = SERVER.signedInAs("storekeeper");
    // 13 is Sereno, 3 is Grua: the gas forklifts are left without
    Visitor.Page study =
        make(visitor, Map.of("title", "Without Grua", "product-3", "forbid", "product-13", "keep"));
    assertThat(study.words())
        .contains("Must be among them: Sundrel Sereno", "Must not: Sundrel Grua")
        .contains("Nothing covers Engine sump, Brannoch G20; it is left out of both costs.");
    Visitor.Page all = visitor.get("/oils/studies");
    assertThat(all.words()).contains("Without Grua");
  }

  @Test
  void aStudyWithNoAnswerSaysSo() {
    Visitor visitor = SERVER.signedInAs("storekeeper");
    Map<String, String> forbidAll = new HashMap<>();
    for (int id = 1; id <= 16; id++) {
      forbidAll.put("product-" + id, "forbid");
    }
    assertThat(make(visitor, forbidAll).words())
        .contains("Nothing that is left covers any spec in use.");
    assertThat(make(visitor, Map.of("holding", "-5", "title", " ")).words())
        .contains("The yearly cost of a product is -5; allowed is 0 to 100000.")
        .contains("The title is missing.");
    assertThat(visitor.get("/oils/studies/99").status()).isEqualTo(404);
  }
}
