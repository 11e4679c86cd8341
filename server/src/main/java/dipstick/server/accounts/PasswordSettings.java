package dipstick.server.accounts;

import org.springframework.boot.context.properties.ConfigurationProperties;

/**
 * How passwords are kept.
 *
 * @param strength each one more doubles what it takes to compare a password, for who signs in as for who guesses (bcrypt's
 *     cost, 4 to 31); those that are kept already stay as they are until they are changed
 */
@ConfigurationProperties("dipstick.passwords")
record PasswordSettings(int strength) {}
