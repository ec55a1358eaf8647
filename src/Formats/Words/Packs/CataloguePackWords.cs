namespace FaithfulBracket.Formats.Words.Packs;

/// <summary>Sentences of catalogue pack.</summary>
internal static class CataloguePackWords
{
    public static string PackIsLarger(int maxBytes) => $"The pack is larger than {maxBytes} MiB.";

    public const string ExpectedZipFileWithManifest = "Expected a zip file with manifest.json, boards/ and blocks/.";

    public static string PackHoldsFiles(int entrieCount, int maxFiles) =>
        $"The pack holds {entrieCount} files; at most {maxFiles} are read.";

    public const string MissingPackNeedsManifestWithHash =
        "Missing: a pack needs a manifest with the hash of every file.";

    public const string CanNotBeUnpacked = "Can not be unpacked: the file is damaged.";

    public const string StandsInManifest = "Stands in the manifest but not in the pack.";

    public const string HashIsNotManifests = "Its hash is not the manifest's: the file was changed or damaged.";

    public const string StandsInPack = "Stands in the pack but not in the manifest.";

    public static string IdStandsTwiceInThisPack(string key) => $"The id \"{key}\" stands twice in this pack.";

    public static string ExpectedBoardOrBlockAndId(string of) =>
        $"Expected board/ or block/ and an id, found \"{of}\".";

    public static string UnpackedPackIsLarger(int maxBytes) => $"Unpacked, the pack is larger than {maxBytes} MiB.";
}
