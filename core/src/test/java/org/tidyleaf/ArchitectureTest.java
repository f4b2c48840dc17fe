package org.tidyleaf;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;

import com.tngtech.archunit.core.importer.ImportOption;
import com.tngtech.archunit.junit.AnalyzeClasses;
import com.tngtech.archunit.junit.ArchTest;
import com.tngtech.archunit.lang.ArchRule;
import java.time.Clock;
import java.time.Instant;

@AnalyzeClasses(packages = "org.tidyleaf", importOptions = ImportOption.DoNotIncludeTests.class)
class ArchitectureTest {

    @ArchTest
    static final ArchRule coreKnowsNoFrameworkDatabaseOrPages = noClasses()
            .should()
            .dependOnClassesThat()
            .resideInAnyPackage(
                    "org.springframework..", "org.hibernate..", "jakarta..", "java.sql..", "org.thymeleaf..");

    @ArchTest
    static final ArchRule packagesFormNoCycles =
            slices().matching("org.tidyleaf.(*)..").should().beFreeOfCycles();

    /** The same input has to give the same output: nothing in the core may ask what time it is. */
    @ArchTest
    static final ArchRule coreKnowsNoTime =
            noClasses().should().callMethod(Instant.class, "now").orShould().callMethod(Clock.class, "systemUTC");
}
