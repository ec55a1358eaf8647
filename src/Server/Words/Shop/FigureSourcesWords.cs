namespace FaithfulBracket.Server.Words.Shop;

/// <summary>Sentences of figure sources.</summary>
internal static class FigureSourcesWords
{
    public const string ExpectedByHandFileDevice = "Expected by-hand, file, device or simulated.";
}
