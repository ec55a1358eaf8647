namespace FaithfulBracket.Server.Words.Stations;

/// <summary>Sentences of device endpoints.</summary>
internal static class DeviceEndpointsWords
{
    public const string OnlyWorkshopsOwnMachineMayDo = "Only the workshop's own machine may do this.";

    public const string ShopsNetworkIsNotServed =
        "The shop's network is not served: start with ./run demo --lan, or set it in Settings and start again.";

    public const string TypeCodeThatShopsOwnMachine = "Type the code that the shop's own machine shows.";

    public const string SayWhichDevice = "Say which device this is: Bench A, the blue tablet.";

    public const string ThisCodeLetsNobody =
        "This code lets nobody in: it was used, or is older than ten minutes. Ask for a new one.";
}
