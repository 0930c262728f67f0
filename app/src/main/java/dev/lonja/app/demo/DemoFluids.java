package dev.lonja.app.demo;

/** Sixteen fluids in thirty packs. */
final class DemoFluids {

  private DemoFluids() {}

  static void stock(DemoShelves shelves) {

    long faro =
        shelves.product(
            "Maretta",
            "Faro",
            "engine_oil",
            "15W-40",
            "API CI-4; ACEA E7",
            "ash=1.45; zinc=1250; density=884; hazards=hot-oil, used-oil",
            "CV 41.2; VK-205");
    shelves.fluid("Maretta", "FA 15-205", "Faro, drum", faro, "205", "T-1", "196", 310);
    shelves.fluid("Maretta", "FA 15-20", "Faro, can", faro, "20", "D-01", "40", 365);
    long brisa =
        shelves.product(
            "Maretta",
            "Brisa",
            "engine_oil",
            "5W-30",
            "ACEA C3; API SP",
            "ash=0.78; zinc=820; density=851; hazards=hot-oil, used-oil",
            "QN 30-1");
    shelves.fluid("Maretta", "BR 53-5", "Brisa, can", brisa, "5", "D-02", "25", 720);
    shelves.fluid("Maretta", "BR 53-1", "Brisa, bottle", brisa, "1", "D-02", "6", 890);
    long grua =
        shelves.product(
            "Sundrel",
            "Grua",
            "engine_oil",
            "10W-40",
            "API CI-4",
            "ash=1.0; zinc=1100; density=872; hazards=hot-oil, used-oil",
            "BR-E2");
    shelves.fluid("Sundrel", "GR 1040-20", "Grua, can", grua, "20", "D-03", "52", 430);
    long duna =
        shelves.product(
            "Maretta",
            "Duna",
            "engine_oil",
            "10W-40",
            "API SN; JASO MA2",
            "ash=0.95; zinc=980; modifier=no; density=862; hazards=hot-oil, used-oil",
            "");
    shelves.fluid("Maretta", "DU 104-4", "Duna, can", duna, "4", "D-04", "16", 810);
    long nasa80 =
        shelves.product(
            "Orvane",
            "Nasa EP",
            "gear_oil",
            "80W-90",
            "API GL-5",
            "modifier=yes; density=897; hazards=hot-oil, used-oil",
            "");
    shelves.fluid("Orvane", "NA 809-20", "Nasa EP, can", nasa80, "20", "D-05", "40", 520);
    long nasa75 =
        shelves.product(
            "Orvane",
            "Nasa Sincro",
            "gear_oil",
            "75W-80",
            "API GL-4",
            "modifier=no; density=880; hazards=hot-oil, used-oil",
            "");
    shelves.fluid("Orvane", "NA 758-20", "Nasa Sincro, can", nasa75, "20", "D-05", "20", 680);
    long cabo =
        shelves.product(
            "Sundrel",
            "Cabo",
            "hydraulic_oil",
            "VG 46",
            "ISO 6743-4 HM",
            "type=hm; biodegradable=no; density=876; hazards=hot-oil, used-oil",
            "BR-H3");
    shelves.fluid("Sundrel", "CB 46-205", "Cabo, drum", cabo, "205", "T-2", "160", 280);
    shelves.fluid("Sundrel", "CB 46-20", "Cabo, can", cabo, "20", "D-06", "20", 340);
    long ria =
        shelves.product(
            "Orvane",
            "Ria",
            "coolant",
            "",
            "",
            "chemistry=p_oat; density=1072; hazards=coolant",
            "");
    shelves.fluid("Orvane", "RI 40-5", "Ria, ready mixed, can", ria, "5", "D-07", "35", 410);
    shelves.fluid("Orvane", "RI 40-20", "Ria, ready mixed, can", ria, "20", "D-07", "20", 360);
    long verde =
        shelves.product(
            "Sundrel",
            "Verde",
            "hydraulic_oil",
            "VG 46",
            "ISO 6743-4 HEES",
            "type=hees; biodegradable=yes; density=918; hazards=hot-oil, water",
            "~BR-H8");
    shelves.fluid(
        "Sundrel", "VD 46-200", "Verde, drum, biodegradable", verde, "200", "T-3", "96", 610);
    long rola =
        shelves.product(
            "Maretta",
            "Rola",
            "engine_oil",
            "10W-30",
            "API SN; JASO MB",
            "ash=0.85; zinc=790; density=869; hazards=hot-oil, used-oil",
            "");
    shelves.fluid("Maretta", "RL 1030-1", "Rola, bottle", rola, "1", "D-08", "9", 920);
    long trava =
        shelves.product(
            "Orvane",
            "Trava",
            "brake_fluid",
            "",
            "DOT 4",
            "base=glycol; density=1065; hazards=brake-fluid",
            "");
    shelves.fluid("Orvane", "TR 4-1", "Trava, bottle", trava, "1", "D-08", "6", 1_140);
    long vista =
        shelves.product("Sundrel", "Vista", "washer_fluid", "", "", "hazards=washer-fluid", "");
    shelves.fluid("Sundrel", "VI 1-5", "Vista, ready mixed, can", vista, "5", "D-09", "15", 190);
    shelves.fluid("Maretta", "FA 15-5", "Faro, can", faro, "5", "D-01", "15", 420);
    shelves.fluid("Maretta", "FA 15-1", "Faro, bottle", faro, "1", "D-01", "8", 510);
    shelves.fluid("Maretta", "BR 53-20", "Brisa, can", brisa, "20", "D-02", "20", 640);
    shelves.fluid("Maretta", "DU 104-1", "Duna, bottle", duna, "1", "D-04", "5", 930);
    shelves.fluid("Orvane", "NA 809-1", "Nasa EP, bottle", nasa80, "1", "D-05", "6", 640);
    shelves.fluid("Sundrel", "CB 46-5", "Cabo, can", cabo, "5", "D-06", "10", 390);
    shelves.fluid(
        "Sundrel", "VD 46-20", "Verde, can, biodegradable", verde, "20", "D-06", "0", 680);
    shelves.fluid("Maretta", "RL 1030-4", "Rola, can", rola, "4", "D-08", "8", 810);
    long sereno =
        shelves.product(
            "Sundrel",
            "Sereno",
            "engine_oil",
            "15W-40",
            "API CK-4; ACEA E11",
            "zinc=1180; density=878; hazards=hot-oil, used-oil",
            "VK-250; CV 4.12");
    shelves.fluid("Sundrel", "SE 15-20", "Sereno, can", sereno, "20", "D-03", "20", 520);
    long limpio =
        shelves.product(
            "Orvane",
            "Limpio",
            "exhaust_fluid",
            "",
            "AUS 32",
            "density=1090; hazards=exhaust-fluid",
            "");
    shelves.fluid("Orvane", "LI 32-10", "Limpio, can", limpio, "10", "D-09", "30", 95);
    long freno =
        shelves.product(
            "Sundrel",
            "Freno",
            "brake_fluid",
            "",
            "DOT 5.1",
            "base=glycol; density=1052; hazards=brake-fluid",
            "");
    shelves.fluid("Sundrel", "FR 51-1", "Freno, bottle", freno, "1", "D-08", "3", 1_680);
    long grasa =
        shelves.product("Maretta", "Grasa Mar", "grease", "NLGI 2", "", "hazards=used-oil", "");
    shelves.fluid("Maretta", "GM 2-1", "Grasa Mar, tub", grasa, "1", "D-10", "4", 1_120);
    shelves.fluid("Sundrel", "SE 15-5", "Sereno, can", sereno, "5", "D-03", "10", 610);
    shelves.fluid("Orvane", "TR 4-5", "Trava, can", trava, "5", "D-08", "0", 980);
  }
}
