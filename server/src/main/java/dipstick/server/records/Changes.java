package dipstick.server.records;

/** What bringing rows in changed. */
record Changes(int newRows, int changedRows, int unchangedRows) {
    static final Changes NONE = new Changes(0, 0, 0);

    Changes plus(Changes other) {
        return new Changes(
                newRows + other.newRows, changedRows + other.changedRows, unchangedRows + other.unchangedRows);
    }

    int total() {
        return newRows + changedRows + unchangedRows;
    }
}
