package dev.lonja.core.fluid;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;

/** How labels are read. */
class ClassListTest {

  private static ClassList.Reading read(String label) {
    return Fluids.REFERENCE.classes().read(label);
  }

  @Test
  void theOrganisationMayBeLeftOut() {
    assertThat(read("SN, CI-4").claimed()).containsExactlyInAnyOrder(Fluids.SN, Fluids.CI4);
    assertThat(read("api sn/ci-4").claimed()).containsExactlyInAnyOrder(Fluids.SN, Fluids.CI4);
  }

  @Test
  void theLongestNameIsRead() {
    assertThat(read("API CI-4 PLUS").claimed()).containsExactly(Fluids.api("CI-4 PLUS"));
    assertThat(read("DOT 5.1").claimed()).containsExactly(Fluids.DOT51);
    assertThat(read("DOT 5").claimed()).containsExactly(Fluids.DOT5);
  }

  @Test
  void aLabelWithBothGearClassesClaimsBoth() {
    assertThat(read("GL-4/GL-5").claimed()).containsExactlyInAnyOrder(Fluids.GL4, Fluids.GL5);
  }

  /** MA2 alone is a word of many meanings; behind JASO it is a class. */
  @Test
  void someClassesNeedTheirOrganisation() {
    assertThat(read("API SN; MA2").claimed()).containsExactly(Fluids.SN);
    assertThat(read("API SN; MA2").notUnderstood()).containsExactly("MA2");
    assertThat(read("API SN; JASO MA2").claimed()).containsExactlyInAnyOrder(Fluids.SN, Fluids.MA2);
    assertThat(read("JASO MA/MA2").claimed()).containsExactlyInAnyOrder(Fluids.MA, Fluids.MA2);
  }

  @Test
  void anOrganisationHoldsUpToAFullSeparator() {
    assertThat(read("JASO MA; MB").claimed()).containsExactly(Fluids.MA);
  }

  @Test
  void onlyWholeWordsCount() {
    ClassList.Reading reading = read("SNX, CI-4+, C3.1, E7");
    assertThat(reading.claimed()).containsExactly(Fluids.E7);
    assertThat(reading.notUnderstood()).containsExactly("SNX", "CI-4+", "C3.1");
  }

  @Test
  void whatIsLeftOverClaimsNothing() {
    ClassList.Reading reading = read("Super API SP and VK-205");
    assertThat(reading.claimed()).containsExactly(Fluids.SP);
    assertThat(reading.notUnderstood()).containsExactly("Super", "VK-205");
  }

  @Test
  void anEmptyLabelClaimsNothing() {
    assertThat(read("").claimed()).isEmpty();
    assertThat(read(" ; ").notUnderstood()).isEmpty();
  }

  @Test
  void classesAreFoundByTheirWholeName() {
    assertThat(Fluids.REFERENCE.classes().named(" acea  c3 ")).contains(Fluids.C3);
    assertThat(Fluids.REFERENCE.classes().named("C3")).isEmpty();
  }
}
