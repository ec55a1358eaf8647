namespace FaithfulBracket.Core.Words.Orders;

/// <summary>Sentences of signer.</summary>
internal static class SignerWords
{
    public static Message LetterUCanBeMistaken(char letter, int codePoint) =>
        $"The letter {letter} (U+{codePoint:X4}) can be mistaken for another letter. Use the plain letter.";

    public static Message SignWithOneToFourLetters => $"Sign with one to four letters.";
}
