namespace FaithfulBracket.Core.Words.Blocks;

/// <summary>Sentences of unknown springs.</summary>
internal static class UnknownSpringsWords
{
    public const string NotKnownSpringsNotLooked = "not known: springs not looked at";

    public static string NobodyHasLookedWhetherCarrySprings(string unknown, string text) =>
        $"nobody has looked whether {unknown}" + $"{text} carry springs. Weigh one, or say that there are none.";
}
