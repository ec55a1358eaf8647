namespace FaithfulBracket.Core.Words.Blocks;

/// <summary>Sentences of unknown springs.</summary>
internal static class UnknownSpringsWords
{
    public static Message NotKnownSpringsNotLooked => $"not known: springs not looked at";

    public static Message NobodyHasLookedWhetherCarrySprings(string screws, string more) =>
        $"nobody has looked whether {screws}{more} carry springs. Weigh one, or say that there are none.";
}
