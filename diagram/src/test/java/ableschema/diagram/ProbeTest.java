package ableschema.diagram; class ProbeTest { @org.junit.jupiter.api.Test void x() {} }
