namespace FaithfulBracket.Core.Prove;

/// <summary>A thermal resistance with its standard uncertainty, K/W.</summary>
public readonly record struct Resistance(double KPerW, double UncertaintyKPerW);
