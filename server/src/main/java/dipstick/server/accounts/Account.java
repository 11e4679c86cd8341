package dipstick.server.accounts;

record Account(String name, String displayName, Role role, String passwordHash) {}
