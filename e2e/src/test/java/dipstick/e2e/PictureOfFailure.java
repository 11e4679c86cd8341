package dipstick.e2e;

import java.nio.file.Path;
import java.util.function.Supplier;
import org.junit.jupiter.api.Assumptions;
import org.junit.jupiter.api.extension.BeforeEachCallback;
import org.junit.jupiter.api.extension.ExtensionContext;
import org.junit.jupiter.api.extension.TestExecutionExceptionHandler;

/**
 * Keeps a picture of the page when a test fails, in {@code target/failures}. The tests of a class build on one another,
 * so those after it are not begun.
 */
final class PictureOfFailure implements TestExecutionExceptionHandler, BeforeEachCallback {
    private final Supplier<Browser> browser;
    private boolean failed;

    PictureOfFailure(Supplier<Browser> browser) {
        this.browser = browser;
    }

    @Override
    public void beforeEach(ExtensionContext test) {
        Assumptions.assumeFalse(failed, "A test before this one failed");
    }

    @Override
    public void handleTestExecutionException(ExtensionContext test, Throwable failure) throws Throwable {
        failed = true;
        browser.get().picture(Path.of("target/failures", test.getDisplayName().replaceAll("\\W+", "") + ".png"));
        throw failure;
    }
}
