package ableschema.cli;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.fields;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;

import com.tngtech.archunit.core.domain.JavaClasses;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption;
import com.tngtech.archunit.lang.ArchRule;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** The module table of docs/architecture.md, and no cycles between packages. */
class ArchitectureTest {

    private static final JavaClasses OURS = new ClassFileImporter()
            .withImportOption(new ImportOption.DoNotIncludeTests())
            .importPackages("ableschema");

    private static final ArchRule CORE_PACKAGES_HAVE_NO_CYCLES =
            slices().matching("ableschema.core.(*)..").should().beFreeOfCycles();

    private static final ArchRule DIAGRAM_PACKAGES_HAVE_NO_CYCLES =
            slices().matching("ableschema.diagram.(*)..").should().beFreeOfCycles();

    private static final ArchRule DESKTOP_PACKAGES_HAVE_NO_CYCLES =
            slices().matching("ableschema.desktop.(*)..").should().beFreeOfCycles();

    private static final ArchRule CORE_ONLY_COMPUTES = noClasses()
            .that()
            .resideInAPackage("ableschema.core..")
            .should()
            .dependOnClassesThat()
            .resideInAnyPackage(
                    "java.sql..",
                    "javax.sql..",
                    "javafx..",
                    "java.awt..",
                    "javax.swing..",
                    "ableschema.diagram..",
                    "ableschema.engine..",
                    "ableschema.desktop..",
                    "ableschema.cli..")
            .because("the core only computes");

    private static final ArchRule DIAGRAM_DRAWS_WITHOUT_A_WINDOW = noClasses()
            .that()
            .resideInAPackage("ableschema.diagram..")
            .should()
            .dependOnClassesThat()
            .resideInAnyPackage(
                    "javafx..", "java.sql..", "ableschema.engine..", "ableschema.desktop..", "ableschema.cli..")
            .because("pictures are files too");

    private static final ArchRule ENGINE_KNOWS_ONLY_THE_CORE = noClasses()
            .that()
            .resideInAPackage("ableschema.engine..")
            .should()
            .dependOnClassesThat()
            .resideInAnyPackage("javafx..", "ableschema.diagram..", "ableschema.desktop..", "ableschema.cli..");

    private static final ArchRule DESKTOP_DOES_NOT_KNOW_THE_COMMAND_LINE = noClasses()
            .that()
            .resideInAPackage("ableschema.desktop..")
            .should()
            .dependOnClassesThat()
            .resideInAnyPackage("ableschema.cli..", "picocli..");

    private static final ArchRule NOBODY_PRINTS_BUT_THE_COMMAND_LINE = noClasses()
            .that()
            .resideOutsideOfPackage("ableschema.cli..")
            .should()
            .accessField(System.class, "out")
            .orShould()
            .accessField(System.class, "err")
            .because("messages go to the window or through the command's writers");

    private static final ArchRule NO_VAGUE_NAMES = noClasses()
            .should()
            .haveSimpleNameEndingWith("Util")
            .orShould()
            .haveSimpleNameEndingWith("Utils")
            .orShould()
            .haveSimpleNameEndingWith("Helper")
            .orShould()
            .haveSimpleNameEndingWith("Manager")
            .orShould()
            .haveSimpleNameEndingWith("Impl")
            .because("a name says what a thing is");

    private static final ArchRule CORE_KEEPS_NO_CHANGING_STATICS = fields().that()
            .areDeclaredInClassesThat()
            .resideInAPackage("ableschema.core..")
            .and()
            .areStatic()
            .should()
            .beFinal();

    static Stream<ArchRule> rules() {
        return Stream.of(
                CORE_PACKAGES_HAVE_NO_CYCLES,
                DIAGRAM_PACKAGES_HAVE_NO_CYCLES,
                DESKTOP_PACKAGES_HAVE_NO_CYCLES,
                CORE_ONLY_COMPUTES,
                DIAGRAM_DRAWS_WITHOUT_A_WINDOW,
                ENGINE_KNOWS_ONLY_THE_CORE,
                DESKTOP_DOES_NOT_KNOW_THE_COMMAND_LINE,
                NOBODY_PRINTS_BUT_THE_COMMAND_LINE,
                NO_VAGUE_NAMES,
                CORE_KEEPS_NO_CHANGING_STATICS);
    }

    @ParameterizedTest
    @MethodSource("rules")
    void holds(ArchRule rule) {
        rule.check(OURS);
    }
}
