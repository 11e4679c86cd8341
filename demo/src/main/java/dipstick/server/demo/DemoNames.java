package dipstick.server.demo;

import java.util.List;

/** Names of nobody: put together from syllables. */
final class DemoNames {
    private static final List<String> STARTS = List.of(
            "Aven", "Bram", "Corl", "Dunk", "Elder", "Fenn", "Garr", "Holl", "Ingle", "Jarr", "Kell", "Lorr", "Marr",
            "Nettle", "Oster", "Pell", "Quill", "Rath", "Sedge", "Thorn", "Ulver", "Venn", "Wick", "Yarrow", "Zell");
    private static final List<String> ENDS = List.of(
            "acre", "beck", "combe", "dray", "esk", "fold", "garth", "holm", "ibald", "ketter", "lowe", "mott", "nock",
            "ompton", "quist", "rake", "sley", "tarn", "umber", "wain");
    private static final List<String> GIVEN = List.of(
            "Adela", "Amsel", "Anwick", "Bessa", "Brannoc", "Caspin", "Corra", "Dellan", "Edrin", "Elsba", "Farrel",
            "Finola", "Garrin", "Hesper", "Ilsa", "Ivor", "Jessa", "Jorrin", "Kerra", "Lanna", "Lorcas", "Maddo",
            "Merrin", "Nessa", "Nolan", "Odda", "Orrin", "Perrin", "Petra", "Quenna", "Rowan", "Sabin", "Senna",
            "Tamsa", "Tobin", "Una", "Vella", "Wenna", "Wilmot", "Yessa");

    private DemoNames() {}

    static String family(Chance chance) {
        return chance.of(STARTS) + chance.of(ENDS);
    }

    static String given(Chance chance) {
        return chance.of(GIVEN);
    }
}
