package ableschema.diagram; final class Probe { private Probe() {} }
