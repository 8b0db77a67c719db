package org.unrulymarble.server;

import static com.tngtech.archunit.core.domain.JavaCall.Predicates.target;
import static com.tngtech.archunit.core.domain.JavaClass.Predicates.resideInAPackage;
import static com.tngtech.archunit.core.domain.properties.HasName.Predicates.nameMatching;
import static com.tngtech.archunit.core.domain.properties.HasOwner.Predicates.With.owner;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noMethods;

import com.tngtech.archunit.core.importer.ImportOption;
import com.tngtech.archunit.junit.AnalyzeClasses;
import com.tngtech.archunit.junit.ArchTest;
import com.tngtech.archunit.lang.ArchRule;
import jakarta.persistence.Entity;
import org.junit.jupiter.api.Test;
import org.springframework.data.repository.Repository;
import org.springframework.modulith.core.ApplicationModules;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.bind.annotation.RestController;

@AnalyzeClasses(packages = "org.unrulymarble.server", importOptions = ImportOption.DoNotIncludeTests.class)
class ArchitectureTest {

    @ArchTest
    static final ArchRule services_know_no_controllers = noClasses()
            .that()
            .areNotAnnotatedWith(RestController.class)
            .and()
            .haveSimpleNameNotEndingWith("Controller")
            .and()
            .areTopLevelClasses()
            .should()
            .dependOnClassesThat()
            .areAnnotatedWith(RestController.class);

    @ArchTest
    static final ArchRule controllers_bind_and_answer_and_hold_no_transaction =
            noClasses().that().areAnnotatedWith(RestController.class).should().beAnnotatedWith(Transactional.class);

    @ArchTest
    static final ArchRule no_controller_method_holds_a_transaction = noMethods()
            .that()
            .areDeclaredInClassesThat()
            .areAnnotatedWith(RestController.class)
            .should()
            .beAnnotatedWith(Transactional.class);

    @ArchTest
    static final ArchRule controllers_know_no_rows = noClasses()
            .that()
            .areAnnotatedWith(RestController.class)
            .should()
            .dependOnClassesThat()
            .areAssignableTo(Repository.class);

    /** Time comes from the one clock that a test can set. */
    @ArchTest
    static final ArchRule rows_have_no_clock_of_their_own = noClasses()
            .that()
            .areAnnotatedWith(Entity.class)
            .should()
            .callMethodWhere(target(nameMatching("now")).and(target(owner(resideInAPackage("java.time..")))));

    @ArchTest
    static final ArchRule nothing_depends_on_the_demo = noClasses()
            .that()
            .resideOutsideOfPackage("..server.demo..")
            .should()
            .dependOnClassesThat()
            .resideInAPackage("..server.demo..");

    /** Capabilities use each other only through what they show, and never in a circle. */
    @Test
    void capabilities_keep_apart() {
        ApplicationModules.of(MarbleApplication.class).verify();
    }
}
