namespace FaithfulBracket.Core.Words.Boards.Bow;

/// <summary>Sentences of envelope cholesky.</summary>
internal static class EnvelopeCholeskyWords
{
    public const string BoardIsNotHeld = "The board is not held: add supports or edges.";
}
