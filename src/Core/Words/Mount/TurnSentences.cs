namespace FaithfulBracket.Core.Words.Mount;

/// <summary>Sentences of turn words.</summary>
internal static class TurnSentences
{
    public const string EachToStop = "each to its stop";
}
