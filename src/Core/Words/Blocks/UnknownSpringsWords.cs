namespace FaithfulBracket.Core.Words.Blocks;

/// <summary>Sentences of unknown springs.</summary>
internal static class UnknownSpringsWords
{
    public const string NotKnownSpringsNotLooked = "not known: springs not looked at";

    public static string NobodyHasLookedWhetherCarrySprings(string screws, string more) =>
        $"nobody has looked whether {screws}{more} carry springs. Weigh one, or say that there are none.";
}
