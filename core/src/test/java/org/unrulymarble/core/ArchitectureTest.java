package org.unrulymarble.core;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.classes;
import static com.tngtech.archunit.library.Architectures.layeredArchitecture;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;

import com.tngtech.archunit.core.importer.ImportOption;
import com.tngtech.archunit.junit.AnalyzeClasses;
import com.tngtech.archunit.junit.ArchTest;
import com.tngtech.archunit.lang.ArchRule;

@AnalyzeClasses(packages = "org.unrulymarble.core", importOptions = ImportOption.DoNotIncludeTests.class)
class ArchitectureTest {

    @ArchTest
    static final ArchRule the_core_needs_nothing_but_java_mathematics_and_readers_of_files = classes()
            .should()
            .onlyDependOnClassesThat()
            .resideInAnyPackage(
                    "java..",
                    "javax.crypto..",
                    "org.unrulymarble.core..",
                    "org.yaml.snakeyaml..",
                    "org.hipparchus..",
                    // Messages alone: Message.
                    "com.ibm.icu.text..",
                    "com.ibm.icu.util..",
                    "org.jspecify.annotations..",
                    "com.fasterxml.jackson.annotation..");

    @ArchTest
    static final ArchRule the_core_has_no_clock_of_its_own = classes()
            .should()
            .onlyCallMethodsThat(com.tngtech.archunit.base.DescribedPredicate.not(
                    com.tngtech.archunit.core.domain.JavaMember.Predicates.declaredIn(System.class)
                            .and(com.tngtech.archunit.core.domain.properties.HasName.Predicates.nameMatching(
                                    "currentTimeMillis|nanoTime"))));

    @ArchTest
    static final ArchRule packages_form_layers = layeredArchitecture()
            .consideringOnlyDependenciesInLayers()
            .layer("check")
            .definedBy("..core.check..")
            .layer("measures")
            .definedBy("..core.measure..", "..core.games..")
            .layer("things")
            .definedBy("..core.ladder..", "..core.kit..", "..core.place..", "..core.defaults..")
            .layer("reckonings")
            .definedBy(
                    "..core.clock..",
                    "..core.flight..",
                    "..core.aim..",
                    "..core.chance..",
                    "..core.rotation..",
                    "..core.skill..")
            .layer("results")
            .definedBy("..core.run..", "..core.record..")
            .layer("lesson")
            .definedBy("..core.plan..")
            .layer("next lesson")
            .definedBy("..core.propose..")
            .layer("rehearsal")
            .definedBy("..core.rehearse..")
            .layer("home")
            .definedBy("..core.home..")
            .whereLayer("rehearsal")
            .mayNotBeAccessedByAnyLayer()
            .whereLayer("home")
            .mayNotBeAccessedByAnyLayer()
            .whereLayer("next lesson")
            .mayOnlyBeAccessedByLayers("home")
            .whereLayer("lesson")
            .mayOnlyBeAccessedByLayers("next lesson", "rehearsal", "home")
            .whereLayer("results")
            .mayOnlyBeAccessedByLayers("lesson", "next lesson", "rehearsal", "home")
            .whereLayer("reckonings")
            .mayOnlyBeAccessedByLayers("lesson", "results", "next lesson", "rehearsal", "home")
            .whereLayer("things")
            .mayOnlyBeAccessedByLayers("lesson", "results", "reckonings", "next lesson", "rehearsal", "home");

    @ArchTest
    static final ArchRule no_circles =
            slices().matching("org.unrulymarble.core.(*)..").should().beFreeOfCycles();
}
