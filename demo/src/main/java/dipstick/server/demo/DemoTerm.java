package dipstick.server.demo;

/**
 * One thing that happens at the practice, under the several names it was recorded by: those of the system that Mill
 * Lane had, those of Harbour Row's, and those of the one that replaced both.
 */
enum DemoTerm {
    VISIT("visit", name("V1", "Visit"), name("CONS", "Consultation"), name("V1", "Visit to the practice")),
    UNPLANNED("visit", name("V9", "Unplanned visit"), name("WALK", "Walk-in"), name("V9", "Unplanned visit")),
    PRESSURE(
            "result",
            name("BP1", "Blood pressure"),
            name("BPSYS", "BP systolic"),
            name("BP1", "Blood pressure, seated")),
    HEARING_CHECK(
            "visit",
            name("HC1", "Hearing check"),
            name("AUD-R", "Audiology review"),
            name("HC1", "Hearing check, yearly")),
    LITHIUM(
            "medication",
            name("LM1", "Lithium carbonate"),
            name("MED77", "Lithium tabs"),
            name("LM1", "Lithium carbonate")),
    LITHIUM_LEVEL(
            "result",
            name("LI1", "Lithium level"),
            name("BLD-LI", "Li level (blood)"),
            name("LI1", "Lithium level, 12 h")),
    KIDNEY(
            "result",
            name("KF1", "Kidney function"),
            name("BLD-RP", "Renal panel"),
            name("KF1", "Kidney function panel")),
    WATER_TABLET(
            "medication",
            name("WT1", "Water tablet"),
            name("MED31", "Diuretic tabs"),
            name("WT1", "Water tablet, morning")),
    FRACTURE("problem", name("FR1", "Fracture of the wrist"), name("INJ4", "Hip fracture"), name("FR2", "Fracture")),
    BONE_SCAN(
            "procedure",
            name("BD1", "Bone density scan"),
            name("IMG12", "Bone scan"),
            name("BD1", "Bone density scan, hip")),
    SHINGLES(
            "vaccination",
            name("VSZ1", "Shingles vaccination"),
            name("IMM-S", "Shingles jab"),
            name("VSZ1", "Shingles vaccination")),
    PNEUMONIA(
            "vaccination",
            name("VPN1", "Pneumonia vaccination"),
            name("IMM-P", "Pneumo jab"),
            name("VPN1", "Pneumonia vaccination")),
    FLU("vaccination", name("VFL1", "Flu vaccination"), name("IMM-F", "Flu jab"), name("VFL1", "Flu vaccination")),
    ASTHMA("problem", name("AS0", "Asthma"), name("RESP1", "Asthma (mild)"), name("AS0", "Asthma")),
    ASTHMA_REVIEW(
            "visit",
            name("AS1", "Asthma review"),
            name("RESP-R", "Resp. review"),
            name("AS1", "Asthma review by phone")),
    NUMB_FEET("problem", name("NF0", "Numbness of the feet"), name("FT-N", "Feet: numbness"), name("NF0", "Numb feet")),
    FOOT_CHECK("visit", name("FT1", "Foot check"), name("FT-C", "Feet checked"), name("FT1", "Foot check, both")),
    LETTER(
            "document",
            name("DL1", "Letter from a clinic"),
            name("DOC", "Incoming letter"),
            name("DL1", "Clinic letter")),
    AUDIOGRAM_LETTER(
            "document", name("DL1", "Letter from a clinic"), name("DOC", "Incoming letter"), name("DL2", "Audiogram")),
    APPOINTMENT("appointment", name("AP1", "Appointment"), name("BOOK", "Booking"), name("AP1", "Appointment")),
    CONTACT("contact", name("CT1", "Telephone call"), name("TEL", "Call"), name("CT1", "Telephone call"));

    private final String kind;
    private final Name millLane;
    private final Name harbourRow;
    private final Name since;

    DemoTerm(String kind, Name millLane, Name harbourRow, Name since) {
        this.kind = kind;
        this.millLane = millLane;
        this.harbourRow = harbourRow;
        this.since = since;
    }

    record Name(String code, String text) {}

    private static Name name(String code, String text) {
        return new Name(code, text);
    }

    String kind() {
        return kind;
    }

    Name atMillLane() {
        return millLane;
    }

    Name atHarbourRow() {
        return harbourRow;
    }

    Name sinceTheMerge() {
        return since;
    }
}
