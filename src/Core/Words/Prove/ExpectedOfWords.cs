namespace FaithfulBracket.Core.Words.Prove;

/// <summary>Sentences of expected of.</summary>
internal static class ExpectedOfWords
{
    public static Message ChooseBlockAndPaste => $"Choose a block and a paste first: nothing is seated yet.";
}
