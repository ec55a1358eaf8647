namespace FaithfulBracket.Formats.Words.Documents;

/// <summary>Sentences of block reader.</summary>
internal static class BlockReaderWords
{
    public const string MissingExpectedAtLeastOnePlate = "Missing: expected at least one plate.";

    public const string OnlyBlockOfKindMemory = "Only a block of kind memory has carriers.";

    public const string OnlyBlockOfKindTwoHalf = "Only a block of kind two-half has halves.";

    public static string ExpectedAtMostFound(int maxCarriers, int carrierCount) =>
        $"Expected at most {maxCarriers}, found {carrierCount}.";

    public static string IsNotPlateOfThisBlock(string plate) => $"\"{plate}\" is not a plate of this block.";

    public static string IsNotPortOfThisBlock(string port) => $"\"{port}\" is not a port of this block.";

    public const string TopPadNeedsBothThickness = "A top pad needs both its thickness and its width.";

    public const string MissingPlateThatStandsOnStandoffs =
        "Missing: a plate that stands on standoffs needs their height.";

    public const string MissingSayWhichKindOfPart =
        "Missing: say which kind of part the land is for, or name one part in part.";
}
