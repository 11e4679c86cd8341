package dipstick.e2e;

/** Whoever opens a new installation first. */
final class FirstVisit {
    private FirstVisit() {}

    static void createAccount(Browser browser, String code, String password) {
        browser.type("#code", code);
        browser.type("#display-name", "Mera Coordinator");
        browser.type("#new-name", "mera");
        browser.type("#new-password", password);
        browser.click("Create the account");
    }
}
