namespace FaithfulBracket.Server.Words.Stations;

/// <summary>Sentences of label endpoints.</summary>
internal static class LabelEndpointsWords
{
    public const string LimitsPictureOfMiBAndMegapixels = "Limits: a picture of 16 MiB and 50 megapixels.";

    public const string ThisIsNotCodeOfLabel = "This is not the code of a label of this shop.";

    public static string DrawerHasNo(string key) => $"The drawer has no {key}.";

    public const string ThisLabelNamesNoJob = "This label names no job, or no bag of its tray.";

    public const string NoLabelIsSeen = "No label is seen in this picture: hold it nearer and flat.";
}
