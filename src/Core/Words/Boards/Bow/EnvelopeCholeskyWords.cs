namespace FaithfulBracket.Core.Words.Boards.Bow;

/// <summary>Sentences of envelope cholesky.</summary>
internal static class EnvelopeCholeskyWords
{
    public static Message BoardIsNotHeld => $"The board is not held: add supports or edges.";
}
