package dev.lonja.app.yard;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Page;
import dev.lonja.app.browser.HarbourBrowser;
import dev.lonja.app.server.LonjaServer;
import dev.lonja.desk.person.FirstStartDesk;
import java.util.List;

/**
 * Five machines that have nothing in common go into an empty store through its screens alone, each
 * up to a job card that is complete. Every figure of a card is worked out by hand where it is asked
 * for: of a capacity 10 % is held back, at least 0.30 L and never more than a quarter; the first
 * pour is rounded down to 0.10 L, below 1 L to 0.01 L.
 */
final class MixedYard {

  static final String KEEPER = "keeper";
  static final String PASSWORD = "four gulls on a mast";

  private MixedYard() {}

  /** Sets up an empty store; its first administrator becomes its storekeeper too. */
  static Page begin(HarbourBrowser browser, LonjaServer server) {
    Page page = browser.stranger(1280, 800);
    page.setDefaultTimeout(10_000);
    page.navigate(server.url() + "/first-start");
    page.fill("#setUpCode", server.bean(FirstStartDesk.class).code());
    page.fill("#storeName", "Mixed Yard");
    page.fill("#currency", "EUR");
    page.fill("#timeZone", "Europe/Lisbon");
    page.fill("#name", KEEPER);
    page.fill("#password", PASSWORD);
    HarbourBrowser.pressAndWait(page, "Enter");
    signIn(page, server);
    page.navigate(server.url() + "/setup/people");
    HarbourBrowser.tapAndWait(page, page.locator("main a:has-text('keeper')").first());
    page.locator("input[name=roles][value=storekeeper]").check();
    HarbourBrowser.tapAndWait(page, page.locator("form[action$='/roles'] button"));
    signIn(page, server);
    return page;
  }

  private static void signIn(Page page, LonjaServer server) {
    page.navigate(server.url() + "/sign-in");
    page.fill("#name", KEEPER);
    page.fill("#password", PASSWORD);
    HarbourBrowser.pressAndWait(page, "Enter");
  }

  /** A card without its head and its cautions. */
  private static List<String> work(List<String> card) {
    return card.stream().skip(2).filter(line -> !line.startsWith("Caution.")).toList();
  }

  /**
   * A ride-on mower. Of 1.9 L with the filter 0.30 is held back: 1.60 L go in first. Three
   * spindles, two strokes each, 1.2 g a stroke: 7.2 g. 20 N·m / 1.35582 = 14.8 lbf·ft; the middle
   * of 65 to 70 is 67.5, set to 68, 50.2 lbf·ft. 14.5 psi = 14.5 × 6,894.757 = 99,974 Pa.
   */
  static void mower(YardKeeper yard) {
    yard.product(
        "make=Maretta", "name=Brisa 30", "kind=ENGINE_OIL", "grade=SAE 30", "classes=API SJ");
    yard.item(
        "FLUID",
        "make=Maretta",
        "number=BR 30-1",
        "description=Brisa 30, bottle",
        "homeBin=Y-01",
        "product=Maretta Brisa 30",
        "pack=1");
    yard.item(
        "SPIN_ON_FILTER",
        "make=Pellam",
        "number=PL 2201",
        "description=Oil filter, small",
        "homeBin=Y-02",
        "use=oil",
        "thread=3/4-16 UNF");
    yard.item(
        "PANEL_AIR_FILTER",
        "make=Pellam",
        "number=PA 118",
        "description=Air filter, panel",
        "homeBin=Y-02");
    yard.item(
        "SPARK_PLUG",
        "make=Nortrap",
        "number=NP 19-6",
        "description=Spark plug",
        "homeBin=Y-03",
        "thread=M14x1.25",
        "reach=19",
        "gap=0.76");
    yard.item(
        "BLADE",
        "make=Tarrowby",
        "number=TB 535",
        "description=Blade, high lift",
        "homeBin=Y-03",
        "length=535",
        "hole=17.5",
        "hole_form=star");
    yard.item(
        "BELT",
        "make=Tarrowby",
        "number=TB 2470",
        "description=Deck belt",
        "homeBin=Y-03",
        "belt_profile=13",
        "length=2470");
    yard.item(
        "GREASE",
        "make=Maretta",
        "number=GM 2-04",
        "description=Grease, cartridge",
        "homeBin=Y-04",
        "pack=400 g",
        "nlgi=2",
        "thickener=lithium complex");
    yard.unit(
        "make=Tarrowby",
        "model=Lawn 105",
        "engine=0.7 twin",
        "code=RM-1",
        "name=Ride-on mower",
        "inService=2024-04-01",
        "unitClass=new",
        "classCode=RM",
        "className=Mowers",
        "meter-1-name=hours",
        "meter-1-shows=212.4",
        "meter-1-perDay=1.5",
        "layUpFirst=2027-11-01",
        "layUpLast=2028-03-31");
    yard.compartment(
        "name=Engine",
        "kind=ENGINE",
        "item=BR 30-1",
        "withFilter=1.9",
        "withoutFilter=1.7",
        "level=DIPSTICK",
        "stickWarmth=COLD",
        "stickSeat=SCREWED_IN",
        "stickStance=UPRIGHT");
    yard.position(
        "name=Oil filter",
        "kind=OIL_FILTER",
        "compartment=Engine",
        "item=PL 2201",
        "quantity=1",
        "mounting=SIDEWAYS");
    yard.position("name=Air filter", "kind=AIR_FILTER", "item=PA 118", "quantity=1");
    yard.position(
        "name=Spark plugs",
        "kind=SPARK_PLUG",
        "item=NP 19-6",
        "quantity=2",
        "torque=20",
        "drive=16 mm hex");
    yard.position("name=Blades", "kind=BLADE", "item=TB 535", "quantity=2", "torque=65-70 N·m");
    yard.position("name=Deck belt", "kind=BELT", "item=TB 2470", "quantity=1");
    yard.position(
        "name=Deck spindles", "kind=GREASE_POINT", "item=GM 2-04", "quantity=3", "strokes=2");
    yard.position("name=Front tyres", "kind=TYRE", "quantity=2");
    yard.spec("RM-1", "Engine", "kind=ENGINE_OIL", "grade-1=SAE 30", "low-1=5", "classes=API SJ");
    String year = "service=Yearly";
    yard.task(
        year,
        "name=Change engine oil",
        "action=CHANGE_FLUID",
        "subject=Engine",
        "run=50",
        "meter=hours",
        "months=12",
        "firstRun=5",
        "steps=Hold the service key for 5 s.");
    yard.task(
        year,
        "name=Replace oil filter",
        "action=REPLACE",
        "subject=Oil filter",
        "run=50",
        "meter=hours",
        "months=12");
    yard.task(
        year,
        "name=Replace air filter",
        "action=REPLACE",
        "subject=Air filter",
        "run=100",
        "meter=hours",
        "months=12");
    yard.task(
        year,
        "name=Replace spark plugs",
        "action=REPLACE",
        "subject=Spark plugs",
        "run=100",
        "meter=hours",
        "months=12");
    yard.task(
        year,
        "name=Replace blades",
        "action=REPLACE",
        "subject=Blades",
        "run=100",
        "meter=hours",
        "months=12");
    yard.task(
        year,
        "name=Inspect deck belt",
        "action=INSPECT",
        "subject=Deck belt",
        "run=50",
        "meter=hours",
        "months=12");
    yard.task(
        year,
        "name=Grease deck spindles",
        "action=REPLACE",
        "subject=Deck spindles",
        "run=50",
        "meter=hours",
        "months=12");
    yard.task(
        year,
        "name=Tyre pressure, cold",
        "action=INSPECT",
        "subject=Front tyres",
        "run=50",
        "meter=hours",
        "months=12",
        "valueKind=PRESSURE",
        "valueLow=0.8 bar",
        "valueHigh=14.5 psi");
    yard.lastDone("RM-1", "2026-03-10", "160");
    assertThat(work(yard.card("RM-1")))
        .containsExactly(
            "into what pour first then, by level together",
            "Engine drain with filter Brisa 30 SAE 30 API SJ BR 30-1 from Y-01 1.60 L 300 mL, once it has run"
                + " and stood 1.90 L",
            "Read on the stick cold, screwed in, the machine level and upright.",
            "Oil filter Oil filter, small 1 × PL 2201 sits sideways.",
            "Air filter Air filter, panel 1 × PA 118",
            "Spark plugs Spark plug 2 × NP 19-6",
            "Blades Blade, high lift 2 × TB 535",
            "Deck belt 1 × TB 2470 Only if worn; comes back if unused.",
            "Deck spindles Grease, cartridge 7 g of GM 2-04 3 points, 2 strokes each.",
            "what set to range in pounds",
            "Oil filter turn after contact as the filter or its box says",
            "Spark plugs 20 N·m 14.8 lbf·ft",
            "Blades 68 N·m 65–70 N·m 50.2 lbf·ft",
            "Change engine oil Hold the service key for 5 s. left, why:",
            "Replace oil filter left, why:",
            "Replace air filter left, why:",
            "Replace spark plugs left, why:",
            "Replace blades left, why:",
            "Inspect deck belt sound cleaned replaced left, why:",
            "Grease deck spindles left, why:",
            "Tyre pressure, cold, sound 0.8 bar to 1 bar met left at bar left, why:",
            "Engine drained L poured L",
            "found wrong:",
            "Tools: 16 mm hex");
  }

  /**
   * A bike with three sumps. Of the engine's 3.1 L 0.31 is held back, 2.79 rounded down to 2.70 L,
   * then 0.40 L. What runs out at the fill hole goes in at once. A plug of 21 to 24 N·m is set to
   * 23: 23 / 1.35582 = 17.0 lbf·ft. 1.4 in = 35.56 mm. Hot oil: 3.1 L grow by about 70 °C × 0.00078
   * = 5.5 %, 170 mL.
   */
  static void bike(YardKeeper yard) {
    yard.product(
        "make=Maretta",
        "name=Duna V",
        "kind=ENGINE_OIL",
        "grade=20W-50",
        "classes=API SJ, JASO MA2");
    yard.product(
        "make=Maretta", "name=Duna P", "kind=ENGINE_OIL", "grade=10W-40", "classes=JASO MA2");
    yard.product(
        "make=Orvane", "name=Nasa 90", "kind=GEAR_OIL", "grade=75W-90", "classes=API GL-5");
    yard.item(
        "FLUID",
        "make=Maretta",
        "number=DV 2050-4",
        "description=Duna V, can",
        "homeBin=Y-11",
        "product=Maretta Duna V",
        "pack=4");
    yard.item(
        "FLUID",
        "make=Maretta",
        "number=DP 1040-1",
        "description=Duna P, bottle",
        "homeBin=Y-11",
        "product=Maretta Duna P",
        "pack=1 L");
    yard.item(
        "FLUID",
        "make=Orvane",
        "number=NA 7590-1",
        "description=Nasa 90, bottle",
        "homeBin=Y-11",
        "product=Orvane Nasa 90",
        "pack=1");
    yard.item(
        "SPIN_ON_FILTER",
        "make=Ravelin",
        "number=RV 306",
        "description=Oil filter, black",
        "homeBin=Y-12",
        "use=oil",
        "thread=3/4-16 UNF");
    yard.item(
        "SEAL",
        "make=Osmere",
        "number=CU 12-16",
        "description=Washer, copper",
        "homeBin=Y-12",
        "inner_diameter=12",
        "outer_diameter=16",
        "thickness=1.5",
        "material=copper");
    yard.unit(
        "make=Lintrel",
        "model=Trio 900",
        "code=MB-2",
        "name=Patrol bike",
        "inService=2022-05-01",
        "unitClass=new",
        "classCode=MB",
        "className=Bikes",
        "meter-1-name=road",
        "meter-1-measure=km",
        "meter-1-shows=41300",
        "meter-1-perDay=18");
    yard.compartment(
        "name=Engine",
        "kind=ENGINE",
        "item=DV 2050-4",
        "withFilter=3.1",
        "withoutFilter=2.8",
        "level=DIPSTICK",
        "stickWarmth=HOT",
        "stickSeat=RESTING",
        "stickStance=ON_STAND");
    yard.compartment("name=Primary", "kind=PRIMARY_DRIVE", "withoutFilter=1.1", "level=OVERFLOW");
    yard.compartment(
        "name=Gearbox",
        "kind=GEARBOX",
        "item=NA 7590-1",
        "withoutFilter=0.95",
        "level=OVERFLOW",
        "hint=Open the fill plug first.");
    yard.position(
        "name=Oil filter",
        "kind=OIL_FILTER",
        "compartment=Engine",
        "item=RV 306",
        "quantity=1",
        "mounting=SIDEWAYS");
    yard.position(
        "name=Engine plug",
        "kind=DRAIN_PLUG",
        "compartment=Engine",
        "quantity=1",
        "torque=21-24",
        "thread=M12×1.5",
        "drive=8 mm hex");
    for (String sump : List.of("Engine", "Primary", "Gearbox")) {
      yard.position(
          "name=" + sump + " plug seal",
          "kind=DRAIN_SEAL",
          "compartment=" + sump,
          "item=CU 12-16",
          "quantity=1",
          "materials=copper");
    }
    yard.position("name=Chain", "kind=CHAIN", "quantity=1");
    yard.spec(
        "MB-2",
        "Primary",
        "kind=ENGINE_OIL",
        "grade-1=10W-40",
        "classes=JASO MA2",
        "wetClutch=yes");
    yard.fluid("MB-2", "Primary", "DP 1040-1");
    String three = "service=Three sumps";
    for (String sump : List.of("Engine", "Primary", "Gearbox")) {
      yard.task(
          three,
          "name=Change oil, " + sump,
          "action=CHANGE_FLUID",
          "subject=" + sump,
          "run=8000",
          "meter=road",
          "months=12");
    }
    yard.task(
        three,
        "name=Replace oil filter",
        "action=REPLACE",
        "subject=Oil filter",
        "run=8000",
        "meter=road",
        "months=12");
    yard.task(
        three,
        "name=Chain play",
        "action=INSPECT",
        "subject=Chain",
        "run=8000",
        "meter=road",
        "months=12",
        "valueKind=LENGTH",
        "valueLow=25 mm",
        "valueHigh=1.4 in");
    yard.lastDone("MB-2", "2026-03-10", "36000");
    assertThat(work(yard.card("MB-2")))
        .containsExactly(
            "into what pour first then, by level together",
            "Engine drain with filter Duna V 20W-50 API SJ, JASO MA2 DV 2050-4 from Y-11 2.70 L 400 mL,"
                + " once it has run and stood 3.10 L",
            "Read on the stick hot, resting on its thread, the machine on its stand. From 20 to 90 °C it"
                + " grows by about 170 mL, at 870 kg/m³, since its density is not on file.",
            "Primary drain without filter Duna P 10W-40 JASO MA2 DP 1040-1 from Y-11 1.10 L nothing held"
                + " back 1.10 L",
            "Full when it runs out at the fill hole.",
            "Gearbox drain without filter Nasa 90 75W-90 API GL-5 NA 7590-1 from Y-11 950 mL nothing"
                + " held back 950 mL",
            "Full when it runs out at the fill hole.",
            "Engine plug seal Washer, copper 1 × CU 12-16",
            "Primary plug seal Washer, copper 1 × CU 12-16",
            "Gearbox plug seal Washer, copper 1 × CU 12-16",
            "Oil filter Oil filter, black 1 × RV 306 sits sideways.",
            "what set to range in pounds",
            "Oil filter turn after contact as the filter or its box says",
            "Engine plug 23 N·m 21–24 N·m 17.0 lbf·ft",
            "Change oil, Engine left, why:",
            "Change oil, Primary left, why:",
            "Change oil, Gearbox left, why:",
            "Replace oil filter left, why:",
            "Chain play, sound 25 mm to 35.56 mm met left at mm left, why:",
            "Engine drained L poured L",
            "Primary drained L poured L",
            "Gearbox drained L poured L",
            "found wrong:",
            "Tools: 8 mm hex",
            "Order: Gearbox: Open the fill plug first.");
  }

  /**
   * A van whose book wants an oil with little ash, listed, and half concentrate in its coolant: of
   * 7.2 L 3.60 of each, which stands −36 °C by the label; 0.72 held back, 6.48 rounded down to
   * 6.40, then 0.80 L. Brake fluid is measured, at once. Of the engine's 6.3 L 0.63 held back, 5.67
   * rounded down to 5.60, then 0.70 L. 25 / 1.35582 = 18.4 lbf·ft.
   */
  static void van(YardKeeper yard) {
    yard.product(
        "make=Maretta",
        "name=Faro C",
        "kind=ENGINE_OIL",
        "grade=5W-30",
        "classes=ACEA C3",
        "listed=QV 51.2",
        "ash=0.78");
    yard.product(
        "make=Sundrel",
        "name=Vista K",
        "kind=COOLANT",
        "chemistry=OAT",
        "mixShare=100",
        "glycol=ETHYLENE",
        "freezePoints=0.33 -18; 0.5 -36");
    yard.product(
        "make=Sundrel", "name=Freno 4", "kind=BRAKE_FLUID", "classes=DOT 4", "base=GLYCOL");
    yard.item(
        "FLUID",
        "make=Maretta",
        "number=FC 530-5",
        "description=Faro C, can",
        "homeBin=Y-21",
        "product=Maretta Faro C",
        "pack=5");
    yard.item(
        "FLUID",
        "make=Sundrel",
        "number=VK 5",
        "description=Vista K, can",
        "homeBin=Y-21",
        "product=Sundrel Vista K",
        "pack=5");
    yard.item(
        "FLUID",
        "make=Sundrel",
        "number=FR 4-1",
        "description=Freno 4, bottle",
        "homeBin=Y-22",
        "product=Sundrel Freno 4",
        "pack=1000 mL");
    yard.item(
        "CARTRIDGE_FILTER",
        "make=Tamisco",
        "number=TC 88",
        "description=Oil filter insert",
        "homeBin=Y-23",
        "use=oil");
    yard.item(
        "CABIN_FILTER",
        "make=Tamisco",
        "number=TK 240",
        "description=Cabin filter, carbon",
        "homeBin=Y-23",
        "carbon=yes");
    yard.unit(
        "make=Quillon",
        "model=310",
        "engine=2.2",
        "code=VN-7",
        "name=Van",
        "inService=2023-02-01",
        "unitClass=new",
        "classCode=VN",
        "className=Vans",
        "meter-1-name=road",
        "meter-1-measure=km",
        "meter-1-shows=88400",
        "meter-1-perDay=70");
    yard.compartment(
        "name=Engine",
        "kind=ENGINE",
        "item=FC 530-5",
        "withFilter=6.3",
        "level=DIPSTICK",
        "stickWarmth=COLD",
        "stickSeat=PUSHED_IN",
        "stickStance=UPRIGHT");
    yard.compartment("name=Cooling", "kind=COOLING", "item=VK 5", "withoutFilter=7.2");
    yard.compartment(
        "name=Brakes", "kind=BRAKE_CIRCUIT", "item=FR 4-1", "withoutFilter=0.9", "level=MEASURED");
    yard.position(
        "name=Oil filter",
        "kind=OIL_FILTER",
        "compartment=Engine",
        "item=TC 88",
        "quantity=1",
        "torque=25");
    yard.position("name=Cabin filter", "kind=CABIN_FILTER", "item=TK 240", "quantity=1");
    yard.spec(
        "VN-7",
        "Engine",
        "kind=ENGINE_OIL",
        "grade-1=5W-30",
        "approvals=QV 51.2",
        "mode=LISTED",
        "ash=0.8");
    yard.spec("VN-7", "Cooling", "kind=COOLANT", "chemistry=OAT", "mixShare=50");
    String two = "service=Two-yearly";
    yard.task(
        two,
        "name=Change engine oil",
        "action=CHANGE_FLUID",
        "subject=Engine",
        "run=30000",
        "meter=road",
        "months=24");
    yard.task(
        two,
        "name=Replace oil filter",
        "action=REPLACE",
        "subject=Oil filter",
        "run=30000",
        "meter=road",
        "months=24");
    yard.task(two, "name=Change coolant", "action=CHANGE_FLUID", "subject=Cooling", "months=24");
    yard.task(two, "name=Change brake fluid", "action=CHANGE_FLUID", "subject=Brakes", "months=24");
    yard.task(
        two, "name=Replace cabin filter", "action=REPLACE", "subject=Cabin filter", "months=24");
    yard.lastDone("VN-7", "2025-03-10", "61000");
    assertThat(work(yard.card("VN-7")))
        .containsExactly(
            "into what pour first then, by level together",
            "Engine drain with filter Faro C 5W-30 ACEA C3 FC 530-5 from Y-21 5.60 L 700 mL, once it has"
                + " run and stood 6.30 L",
            "Read on the stick cold, pushed right in, the machine level and upright.",
            "Cooling drain without filter Vista K OAT VK 5 from Y-21 6.40 L 800 mL, once it has run and"
                + " stood 7.20 L",
            "Mix with 3.60 L of demineralised water: 50 %, protects to −36 °C.",
            "Brakes drain without filter Freno 4 DOT 4 FR 4-1 from Y-22 900 mL nothing held back 900 mL",
            "Nothing to read: exactly so much goes in.",
            "Oil filter Oil filter insert 1 × TC 88",
            "Cabin filter Cabin filter, carbon 1 × TK 240",
            "what set to range in pounds",
            "Oil filter 25 N·m 18.4 lbf·ft",
            "Change engine oil left, why:",
            "Replace oil filter left, why:",
            "Change coolant left, why:",
            "Change brake fluid left, why:",
            "Replace cabin filter left, why:",
            "Engine drained L poured L",
            "Cooling drained L poured L",
            "Brakes drained L poured L",
            "found wrong:");
  }

  /**
   * An estate car whose oil fell due in September 2025, 18 months ago: more than half of its 12
   * months, so that it is flushed with 0.5 L. Of 4.2 L 0.42 held back, 3.78 rounded down to 3.70,
   * then 0.50 L. Six clips come along in case.
   */
  static void estate(YardKeeper yard) {
    yard.policy("flush", "FLUSH_NEGLECTED");
    yard.product(
        "make=Maretta",
        "name=Faro E",
        "kind=ENGINE_OIL",
        "grade=5W-40",
        "classes=API SN, ACEA A3/B4");
    yard.product("make=Orvane", "name=Lava", "kind=ENGINE_OIL", "grade=SAE 20");
    yard.item(
        "FLUID",
        "make=Maretta",
        "number=FE 540-5",
        "description=Faro E, can",
        "homeBin=Y-31",
        "product=Maretta Faro E",
        "pack=5");
    yard.item(
        "FLUID",
        "make=Orvane",
        "number=LV 05",
        "description=Lava, flushing oil",
        "homeBin=Y-31",
        "product=Orvane Lava",
        "pack=0.5");
    yard.item(
        "SPIN_ON_FILTER",
        "make=Nortrap",
        "number=NT 712",
        "description=Oil filter",
        "homeBin=Y-32",
        "use=oil",
        "thread=M20x1.5");
    yard.item(
        "WIPER",
        "make=Osmere",
        "number=OW 550",
        "description=Wiper, 550 mm",
        "homeBin=Y-33",
        "length=550",
        "arm=hook");
    yard.item(
        "CONSUMABLE", "make=Corvane", "number=CL 6", "description=Undertray clip", "homeBin=Y-33");
    yard.unit(
        "make=Corvane",
        "model=Brae",
        "engine=1.8",
        "code=EC-4",
        "name=Estate car",
        "inService=2019-06-01",
        "unitClass=new",
        "classCode=EC",
        "className=Cars",
        "meter-1-name=road",
        "meter-1-measure=km",
        "meter-1-shows=143900",
        "meter-1-perDay=45");
    yard.compartment(
        "name=Engine",
        "kind=ENGINE",
        "item=FE 540-5",
        "withFilter=4.2",
        "withoutFilter=3.9",
        "level=DIPSTICK",
        "stickWarmth=COLD",
        "stickSeat=PUSHED_IN",
        "stickStance=UPRIGHT",
        "flushItem=LV 05",
        "flushLitres=0.5",
        "topUpLitres=0.4",
        "meter=road");
    yard.position(
        "name=Oil filter",
        "kind=OIL_FILTER",
        "compartment=Engine",
        "item=NT 712",
        "quantity=1",
        "mounting=SIDEWAYS");
    yard.position("name=Wipers", "kind=WIPER", "item=OW 550", "quantity=2");
    yard.position(
        "name=Undertray clips", "kind=INSURANCE", "compartment=Engine", "item=CL 6", "quantity=6");
    yard.spec("EC-4", "Engine", "kind=ENGINE_OIL", "grade-1=5W-40", "classes=ACEA A3/B4");
    String oil = "service=Yearly";
    yard.task(
        oil,
        "name=Change engine oil",
        "action=CHANGE_FLUID",
        "subject=Engine",
        "run=15000",
        "meter=road",
        "months=12");
    yard.task(
        oil,
        "name=Replace oil filter",
        "action=REPLACE",
        "subject=Oil filter",
        "run=15000",
        "meter=road",
        "months=12");
    yard.task(oil, "name=Replace wipers", "action=REPLACE", "subject=Wipers", "months=12");
    yard.lastDone("EC-4", "2024-09-10", "121000");
    assertThat(work(yard.card("EC-4")))
        .containsExactly(
            "into what pour first then, by level together",
            "Engine drain with filter Faro E 5W-40 API SN, ACEA A3/B4 FE 540-5 from Y-31 3.70 L 500 mL,"
                + " once it has run and stood 4.20 L",
            "Read on the stick cold, pushed right in, the machine level and upright.",
            "Engine Lava, flushing oil 500 mL of LV 05 Flush: pour it into the old fluid, run the engine"
                + " as its label says, and drain the two together; they are waste.",
            "Oil filter 1 × NT 712 sits sideways.",
            "Wipers Wiper, 550 mm 2 × OW 550",
            "Undertray clips Undertray clip 6 × CL 6 In case it breaks; comes back if unused.",
            "what set to range in pounds",
            "Oil filter turn after contact as the filter or its box says",
            "Change engine oil left, why:",
            "Replace oil filter left, why:",
            "Replace wipers left, why:",
            "Engine drained L poured L",
            "found wrong:");
  }

  /**
   * A generator that hardly runs. Its book states 9.8 to 10.2 L: the tray brings 10.2 × 1.02 =
   * 10.404 L, the low end goes in first and 0.604 L by the stick.
   */
  static void generator(YardKeeper yard) {
    yard.product(
        "make=Maretta", "name=Brisa D", "kind=ENGINE_OIL", "grade=15W-40", "classes=API CI-4");
    yard.item(
        "FLUID",
        "make=Maretta",
        "number=BD 1540-20",
        "description=Brisa D, can",
        "homeBin=Y-41",
        "product=Maretta Brisa D",
        "pack=20");
    yard.item(
        "SPIN_ON_FILTER",
        "make=Pellam",
        "number=PL 5120",
        "description=Oil filter, long",
        "homeBin=Y-42",
        "use=oil",
        "thread=1-12 UNF");
    yard.item(
        "SPIN_ON_FILTER",
        "make=Pellam",
        "number=PF 5121",
        "description=Fuel filter",
        "homeBin=Y-42",
        "use=fuel",
        "thread=M16x1.5",
        "water_separator=yes");
    yard.unit(
        "make=Marlstone",
        "model=30",
        "code=GS-1",
        "name=Standby generator",
        "inService=2021-01-15",
        "unitClass=new",
        "classCode=GS",
        "className=Generators",
        "meter-1-name=hours",
        "meter-1-shows=214.5",
        "meter-1-perDay=0.1");
    yard.compartment(
        "name=Engine",
        "kind=ENGINE",
        "item=BD 1540-20",
        "withFilter=9.8-10.2",
        "level=DIPSTICK",
        "stickWarmth=COLD",
        "stickSeat=PUSHED_IN",
        "stickStance=UPRIGHT");
    yard.compartment("name=Cooling", "kind=COOLING", "dry=11");
    yard.position(
        "name=Oil filter",
        "kind=OIL_FILTER",
        "compartment=Engine",
        "item=PL 5120",
        "quantity=1",
        "mounting=SIDEWAYS");
    yard.position(
        "name=Fuel filter",
        "kind=FUEL_FILTER",
        "item=PF 5121",
        "quantity=1",
        "separator=yes",
        "torque=18 lbf·ft");
    yard.position("name=Battery", "kind=BATTERY", "quantity=1");
    yard.spec("GS-1", "Engine", "kind=ENGINE_OIL", "grade-1=15W-40", "classes=API CI-4");
    String year = "service=Yearly";
    yard.task(
        year,
        "name=Change engine oil",
        "action=CHANGE_FLUID",
        "subject=Engine",
        "run=250",
        "meter=hours",
        "months=12");
    yard.task(
        year,
        "name=Replace oil filter",
        "action=REPLACE",
        "subject=Oil filter",
        "run=250",
        "meter=hours",
        "months=12");
    yard.task(
        year,
        "name=Replace fuel filter",
        "action=REPLACE",
        "subject=Fuel filter",
        "run=500",
        "meter=hours",
        "months=12");
    yard.task(
        year,
        "name=Battery at rest",
        "action=INSPECT",
        "subject=Battery",
        "months=12",
        "valueKind=VOLTAGE",
        "valueLow=12.4 V");
    yard.task(
        year,
        "name=Coolant stands frost to",
        "action=INSPECT",
        "subject=Cooling",
        "months=12",
        "valueKind=TEMPERATURE",
        "valueHigh=-13 F");
    yard.lastDone("GS-1", "2026-03-10", "190");
    assertThat(work(yard.card("GS-1")))
        .containsExactly(
            "into what pour first then, by level together",
            "Engine drain with filter Brisa D 15W-40 API CI-4 BD 1540-20 from Y-41 9.80 L 604 mL, once it"
                + " has run and stood 10.40 L",
            "Read on the stick cold, pushed right in, the machine level and upright.",
            "Oil filter Oil filter, long 1 × PL 5120 sits sideways.",
            "Fuel filter 1 × PF 5121",
            "what set to range in pounds",
            "Oil filter turn after contact as the filter or its box says",
            "Fuel filter turn after contact as the filter or its box says",
            "Change engine oil left, why:",
            "Replace oil filter left, why:",
            "Replace fuel filter left, why:",
            "Battery at rest, sound at least 12.4 V met left at V left, why:",
            "Coolant stands frost to, sound at most −25 °C met left at °C left, why:",
            "Engine drained L poured L",
            "found wrong:");
  }
}
