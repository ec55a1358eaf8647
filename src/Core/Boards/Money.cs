namespace FaithfulBracket.Core.Boards;

/// <param name="Currency">Three letters, as ISO 4217 has them.</param>
public sealed record Money(double Amount, string Currency);
