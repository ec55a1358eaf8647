namespace FaithfulBracket.Server.Words.Stations;

/// <summary>Sentences of paste endpoint.</summary>
internal static class PasteEndpointWords
{
    public const string LimitsCellsAlongFaceMore =
        "Limits: 256 cells along the face, more on one over 64 times as long as wide and none past 256 times, "
        + "500 strokes of 5,000 points together, 2,000 corners; a squeeze past its budget of work answers as far "
        + "as it came and says so in cutShort.";

    public const string StoppedBeforeFilmCameToRest =
        "Stopped before the film came to rest: the load is far beyond what this paste film is calculated for. "
        + "The true film is thinner and covers more.";

    public const string ExpectedTwoTurnsXY = "Expected two turns [x, y] in degrees.";

    public static string ExpectedAtMostStrokesEachList(int maxStrokes) =>
        $"Expected at most {maxStrokes} strokes, each a list of [x, y] points.";

    public static string ExpectedAtMostPointsTogether(int maxStrokePoints) =>
        $"Expected at most {maxStrokePoints} points together.";

    public const string ExpectedAtLeastOneStroke = "Expected at least one stroke of at least one point.";
}
