package org.tidyleaf;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;

import com.tngtech.archunit.core.importer.ImportOption;
import com.tngtech.archunit.junit.AnalyzeClasses;
import com.tngtech.archunit.junit.ArchTest;
import com.tngtech.archunit.lang.ArchRule;
import com.tngtech.archunit.library.Architectures;
import java.time.Clock;
import java.time.Instant;
import java.util.Arrays;

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

    /** A format needs what all of them share, and never two one another. */
    @ArchTest
    static final ArchRule formatsFormNoCycles =
            slices().matching("org.tidyleaf.intake.(*)..").should().beFreeOfCycles();

    /** The passes of the reading, in their order: each needs only what stands before it, and the records of the door. */
    @ArchTest
    static final ArchRule passesNeedNoLaterOnes = layered(
            "wording", "model", "line", "cut", "cue", "block", "column", "list", "habit", "role", "draft", "key",
            "make", "check");

    private static ArchRule layered(String... passes) {
        Architectures.LayeredArchitecture layers =
                Architectures.layeredArchitecture().consideringOnlyDependenciesInLayers();
        for (String pass : passes) {
            layers = layers.layer(pass).definedBy("org.tidyleaf.reading." + pass);
        }
        for (int i = 0; i < passes.length - 1; i++) {
            String[] later = Arrays.copyOfRange(passes, i + 1, passes.length);
            layers = layers.whereLayer(passes[i]).mayOnlyBeAccessedByLayers(later);
        }
        return layers.whereLayer(passes[passes.length - 1]).mayNotBeAccessedByAnyLayer();
    }

    /** The same input has to give the same output: nothing in the core may ask what time it is. */
    @ArchTest
    static final ArchRule coreKnowsNoTime =
            noClasses().should().callMethod(Instant.class, "now").orShould().callMethod(Clock.class, "systemUTC");
}
