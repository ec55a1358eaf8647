namespace FaithfulBracket.Server.Words.Shop;

/// <summary>Sentences of shop start.</summary>
internal static class ShopStartWords
{
    public const string DiskIsFull = "the disk is full.";

    public const string NothingCanBeWrittenThere = "nothing can be written there.";
}
