package dipstick.server;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;

import com.tngtech.archunit.core.domain.JavaClasses;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption;
import java.util.concurrent.ExecutorService;
import org.junit.jupiter.api.Test;
import org.springframework.modulith.core.ApplicationModules;

class ModulesTest {
    @Test
    void features_meet_only_as_they_say_through_their_public_services_and_in_no_circle() {
        ApplicationModules.of(DipstickApplication.class, new ImportOption.DoNotIncludeTests())
                .verify();
    }

    @Test
    void the_core_knows_no_framework_no_sql_and_no_http() {
        JavaClasses core = new ClassFileImporter()
                .withImportOption(new ImportOption.DoNotIncludeTests())
                .importPackages("dipstick.core");
        noClasses()
                .should()
                .dependOnClassesThat()
                .resideInAnyPackage(
                        "org.springframework..", "java.sql..", "jakarta..", "java.net.http..", "dipstick.server..")
                .check(core);
    }

    @Test
    void nobody_is_interrupted_who_may_be_reading_the_database() {
        JavaClasses server = new ClassFileImporter()
                .withImportOption(new ImportOption.DoNotIncludeTests())
                .importPackages("dipstick.server");
        noClasses()
                .should()
                .callMethod(ExecutorService.class, "shutdownNow")
                .because("that closes the file of the database for everybody (docs/decisions/0064)")
                .check(server);
    }
}
