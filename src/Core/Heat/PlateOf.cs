using FaithfulBracket.Core.Match;

namespace FaithfulBracket.Core.Heat;

/// <summary>Calculates a laid block's cold plate at a flow, L/min, or has it already.</summary>
/// <exception cref="InputException">See <see cref="BlockHeat"/>.</exception>
public delegate BlockHeat PlateOf(LaidBlock laid, double flowLMin, CancellationToken cancel);
