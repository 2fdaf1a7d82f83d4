package ableschema.cli; class ProbeTest { @org.junit.jupiter.api.Test void x() {} }
