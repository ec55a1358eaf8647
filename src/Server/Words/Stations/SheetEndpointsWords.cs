namespace FaithfulBracket.Server.Words.Stations;

/// <summary>Sentences of sheet endpoints.</summary>
internal static class SheetEndpointsWords
{
    public static string ThereIsNoQuestion(string school) => $"There is no question \"{school}\".";

    public const string MissingExpectedWholeListEmpty = "Missing: expected the whole list, empty to strike all.";

    public static string BoardHasNoPart(string part) => $"The board has no part \"{part}\".";

    public static string CanNotShow(string part) => $"{part} cannot show that.";

    public const string ExpectedDieMemoryOrPowerStage = "Expected die, memory or power-stage: those have a sensor.";

    public const string MissingExpectedDieMemoryOrPower = "Missing: expected die, memory or power-stage.";

    public const string OneSensorStandsHereTwice = "One sensor stands here twice: expected each once a board.";

    public const string PressedPadIsNotThicker =
        "A pressed pad is not thicker than it was: the two are swapped, or the rim was pressed too.";

    public static string ExpectedOneOfFound(string all, string fault) => $"Expected one of {all}, found \"{fault}\".";
}
