package org.tidyleaf.web;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.classes;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;

import com.tngtech.archunit.core.importer.ImportOption;
import com.tngtech.archunit.junit.AnalyzeClasses;
import com.tngtech.archunit.junit.ArchTest;
import com.tngtech.archunit.lang.ArchRule;
import jakarta.persistence.Entity;
import java.time.Instant;
import org.springframework.data.repository.Repository;
import org.springframework.stereotype.Controller;

/** Features keep their insides to themselves. */
@AnalyzeClasses(packages = "org.tidyleaf.web", importOptions = ImportOption.DoNotIncludeTests.class)
class WebArchitectureTest {

    @ArchTest
    static final ArchRule entitiesStayInTheirFeature =
            classes().that().areAnnotatedWith(Entity.class).should().bePackagePrivate();

    @ArchTest
    static final ArchRule repositoriesStayInTheirFeature =
            classes().that().areAssignableTo(Repository.class).should().bePackagePrivate();

    @ArchTest
    static final ArchRule controllersAskServicesOnly = noClasses()
            .that()
            .areAnnotatedWith(Controller.class)
            .should()
            .dependOnClassesThat()
            .areAssignableTo(Repository.class);

    @ArchTest
    static final ArchRule theClockIsPassedIn = noClasses().should().callMethod(Instant.class, "now");

    @ArchTest
    static final ArchRule featuresFormNoCycles =
            slices().matching("org.tidyleaf.web.(*)..").should().beFreeOfCycles();
}
