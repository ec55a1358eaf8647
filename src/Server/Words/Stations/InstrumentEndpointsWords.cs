namespace FaithfulBracket.Server.Words.Stations;

/// <summary>Sentences of instrument endpoints.</summary>
internal static class InstrumentEndpointsWords
{
    public static string NoIsConnected(string instrument) =>
        $"No {instrument} is connected. This stand-in is for practice in the demo shop; type what yours reads.";

    public const string NoCameraIsConnected =
        "No camera is connected. Take the picture with any camera and drop the file.";

    public const string CameraSentNoPicture = "The camera sent no picture. Take it again.";

    public static string IsNotPassOfTurns(string stepId) => $"\"{stepId}\" is not a pass of turns.";

    public static string IsNotScrewOfThisPass(string hole) =>
        $"\"{hole}\" is not a screw of this pass with a known torque.";
}
