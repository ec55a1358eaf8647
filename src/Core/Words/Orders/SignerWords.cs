namespace FaithfulBracket.Core.Words.Orders;

/// <summary>Sentences of signer.</summary>
internal static class SignerWords
{
    public static string LetterUCanBeMistaken(char letter, int codePoint) =>
        $"The letter {letter} (U+{codePoint:X4}) can be mistaken for another letter. Use the plain letter.";

    public const string SignWithOneToFourLetters = "Sign with one to four letters.";
}
