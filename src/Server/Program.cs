using System.Text.Json.Serialization.Metadata;
using FaithfulBracket.Core.Orders;
using FaithfulBracket.Formats.Json;
using FaithfulBracket.Instruments;
using FaithfulBracket.Server;
using FaithfulBracket.Server.Demo;
using FaithfulBracket.Server.Events;
using FaithfulBracket.Server.Http;
using FaithfulBracket.Server.Lan;
using FaithfulBracket.Server.Shop;
using FaithfulBracket.Server.Stations;
using FaithfulBracket.Server.Words;
using FaithfulBracket.Store;
using FaithfulBracket.Store.Backups;
using Microsoft.AspNetCore.Http.Json;
using Microsoft.Extensions.DependencyInjection.Extensions;

var builder = WebApplication.CreateSlimBuilder(args);
builder.Logging.AddFilter("Microsoft.AspNetCore", LogLevel.Warning);
builder.WebHost.ConfigureKestrel(k =>
{
    k.AddServerHeader = false;
    k.Limits.MaxRequestBodySize = 32 * 1024 * 1024;
    k.Limits.MaxConcurrentConnections = 2500;
});
if (string.IsNullOrEmpty(builder.Configuration["urls"]))
    builder.WebHost.UseUrls("http://127.0.0.1:5140");

var data = builder.Configuration["data"] ?? Path.Combine(AppContext.BaseDirectory, "data");
var shop = new ShopDatabase(
    Path.Combine(data, "shop.db"),
    builder.Configuration.GetValue<int?>("most-mb"),
    builder.Configuration.GetValue<bool>("read-only")
);
if (CommandLine.Run(builder.Configuration, shop) is { } code)
    return code;
if (ShopStart.Open(ref shop) is { } trouble)
{
    StartupErrorPage.Serve(builder.Build(), trouble);
    return 1;
}
var lan = LanSetup.Add(builder, shop);
Watching.Add(builder);
builder.Services.AddSingleton(shop);
builder.Services.TryAddSingleton(TimeProvider.System);
builder.Services.AddSingleton(s => new LocalTimes(s.GetRequiredService<TimeProvider>().LocalTimeZone));
builder.Services.AddKeyedSingleton(
    "board",
    (s, _) => new Library(s.GetRequiredService<ShopDatabase>(), "board", s.GetRequiredService<TimeProvider>())
);
builder.Services.AddKeyedSingleton(
    "block",
    (s, _) => new Library(s.GetRequiredService<ShopDatabase>(), "block", s.GetRequiredService<TimeProvider>())
);
builder.Services.AddKeyedSingleton(
    "card",
    (s, _) => new Library(s.GetRequiredService<ShopDatabase>(), "card", s.GetRequiredService<TimeProvider>())
);
builder.Services.AddKeyedSingleton(
    "socket",
    (s, _) => new Library(s.GetRequiredService<ShopDatabase>(), "socket", s.GetRequiredService<TimeProvider>())
);
builder.Services.AddKeyedSingleton(
    "machine",
    (s, _) => new Library(s.GetRequiredService<ShopDatabase>(), "machine", s.GetRequiredService<TimeProvider>())
);
builder
    .Services.AddSingleton<PhotoFolder>()
    .AddSingleton<CataloguePictures>()
    .AddSingleton<ColumnMaps>()
    .AddSingleton<Traces>()
    .AddSingleton<Jobs>()
    .AddSingleton<SignOffs>()
    .AddSingleton<StoredIds>()
    .AddSingleton<StoredDocumentIds>()
    .AddSingleton<Corrections>()
    .AddSingleton<JobStamps>()
    .AddSingleton<JobShells>()
    .AddSingleton<DocumentUse>()
    .AddSingleton<HeldDocuments>()
    .AddSingleton<DocumentVersions>()
    .AddSingleton<NewerDocuments>()
    .AddSingleton<DrawerUses>()
    .AddSingleton<JobSummaries>()
    .AddSingleton<JobOrders>()
    .AddSingleton<JobIntake>()
    .AddSingleton<JobPlans>()
    .AddSingleton<SignOffService>()
    .AddSingleton<BenchSummaries>()
    .AddSingleton<BenchRenewal>()
    .AddHostedService(s => s.GetRequiredService<BenchRenewal>())
    .AddSingleton<JobEntries>()
    .AddSingleton<JobSheets>()
    .AddSingleton<JobLogs>()
    .AddSingleton<LeakTests>()
    .AddSingleton<DriverTurns>()
    .AddSingleton<DriverHands>()
    .AddSingleton<FigureSources>()
    .AddSingleton<Settings>()
    .AddSingleton<ShopCards>()
    .AddSingleton<Signers>()
    .AddSingleton<ActorCheck>()
    .AddSingleton<DayEntries>()
    .AddSingleton<DayService>()
    .AddSingleton<CalendarFile>()
    .AddSingleton(s => new Doctor(shop, s.GetRequiredService<TimeProvider>(), d => LibraryDocuments.Digest(d)))
    .AddSingleton(s => new BackupRing(
        shop,
        s.GetRequiredService<TimeProvider>(),
        builder.Configuration.GetValue<long?>("backup-mb") * 1024 * 1024 ?? BackupRing.DefaultBytes
    ))
    .AddSingleton<HourlyBackup>()
    .AddHostedService(s => s.GetRequiredService<HourlyBackup>())
    .AddSingleton<JobCare>()
    .AddSingleton<JobSearch>()
    .AddSingleton<JobLists>()
    .AddSingleton<ShopSecrets>()
    .AddSingleton<Passports>()
    .AddSingleton<RecordRoom>()
    .AddSingleton<DrawerItems>()
    .AddSingleton<LibraryCache>()
    .AddSingleton<DocumentChecks>()
    .AddSingleton<ProvedLands>()
    .AddSingleton<TwinLibrary>()
    .AddHostedService<LibraryWarmup>()
    .AddSingleton<JobViews>()
    .AddSingleton<DemoShop>()
    .AddSingleton<PlateMemory>()
    .AddSingleton<JobLogViews>()
    .AddSingleton<ConcurrencyLimiter>()
    .AddSingleton<StreamLimits>()
    .AddSingleton<ShopChanges>()
    .AddHostedService(s => s.GetRequiredService<ShopChanges>())
    .AddSingleton<ShopEvents>()
    .AddSingleton<EventFinder>()
    .AddHostedService<EventSender>()
    .AddSingleton<RequestTracker>()
    .AddSingleton<Warmup>();
builder
    .Services.AddSingleton(new SimulatedCaliper(Environment.TickCount))
    .AddSingleton<SimulatedTorqueDriver>()
    .AddSingleton<ICaliper>(s => s.GetRequiredService<SimulatedCaliper>())
    .AddSingleton<ITorqueDriver>(s => s.GetRequiredService<SimulatedTorqueDriver>());
if (InstrumentEndpoints.Camera(builder.Configuration["demo"]) is { } camera)
    builder.Services.AddSingleton<ICamera>(camera);
builder
    .Services.AddOptions<JsonOptions>()
    .Configure<LibraryCache>(
        (o, shop) =>
        {
            DocumentJson.Configure(o.SerializerOptions);
            // what a call says is said once and under its own name: whatever looks at a body reads the same of it
            o.SerializerOptions.PropertyNameCaseInsensitive = false;
            o.SerializerOptions.AllowDuplicateProperties = false;
            o.SerializerOptions.TypeInfoResolver = ResponseText.In(
                o.SerializerOptions.TypeInfoResolver ?? new DefaultJsonTypeInfoResolver(),
                () => shop.Figures
            );
        }
    );
builder.Services.AddOpenApi(
    "v1",
    o =>
    {
        o.CreateSchemaReferenceId = OpenApiShapes.NameOf;
        o.AddSchemaTransformer<OpenApiShapes>()
            .AddDocumentTransformer(
                (doc, _, _) =>
                {
                    doc.Info = new()
                    {
                        Title = "Faithful Bracket",
                        Version = "1",
                        Description = ProgramWords.MatchingPlanningSimulatingAndRecording,
                    };
                    doc.Servers?.Clear();
                    OpenApiShapes.Mend(doc);
                    return Task.CompletedTask;
                }
            );
    }
);
builder.Services.Configure<RouteHandlerOptions>(o => o.ThrowOnBadRequest = true);
builder.Services.AddProblemDetails().AddExceptionHandler<Problems>();
builder.Services.AddResponseCompression(o => o.EnableForHttps = true);

var app = builder.Build();
shop.Slow += slow => Watching.Tell(app.Logger, slow);
if (!shop.ReadOnly)
    app.Services.GetRequiredService<StoredDocumentIds>().Repair();
if (builder.Configuration["demo"] is { Length: > 0 } demo && !shop.ReadOnly)
    app.Services.GetRequiredService<DemoShop>().FillIfEmpty(demo);

app.Use(app.Services.GetRequiredService<RequestTracker>().CountAsync);
app.Use(SafeHeaders.AddAsync);
app.UseExceptionHandler();
app.Use(new OwnPages(app.Configuration, lan.Names).CheckAsync);
app.Use(app.Services.GetRequiredService<DeviceGate>().CheckAsync);
app.Use(MethodRules.HeadAsync);
app.UseRouting();
app.UseRateLimiter();
app.Use(Bodies.RefuseLargeAsync);
app.Use(app.Services.GetRequiredService<ActorCheck>().CheckAsync);
app.UseStatusCodePages(MethodRules.TellAsync);
app.Use(MethodRules.NoStreamAsync);
app.UseResponseCompression();
app.MapOpenApi("/openapi/{documentName}.json");
ComputeEndpoints.Map(app);
LibraryEndpoints.Map(app);
DocumentEndpoints.Map(app);
IntakeEndpoints.Map(app);
EditEndpoints.Map(app);
LandDepthsEndpoint.Map(app);
ChooseEndpoints.Map(app);
ExchangeEndpoints.Map(app);
ColumnEndpoints.Map(app);
PictureEndpoints.Map(app);
InstrumentEndpoints.Map(app);
TwinEndpoints.Map(app);
TraceStore.Map(app);
PasteStream.Map(app);
LiveEndpoint.Map(app);
WhatIfEndpoints.Map(app);
TravellerEndpoints.Map(app);
ExpectEndpoints.Map(app);
PassportEndpoint.Map(app);
LogEndpoints.Map(app);
BenchEndpoint.Map(app);
LeakEndpoints.Map(app);
CareEndpoints.Map(app);
SettingEndpoints.Map(app);
ShopCardEndpoints.Map(app);
EventEndpoints.Map(app);
CalendarEndpoints.Map(app);
SeatEndpoints.Map(app);
SheetEndpoints.Map(app);
NewerEndpoints.Map(app);
CuttingEndpoints.Map(app);
StripEndpoints.Map(app);
JobEndpoints.Map(app);
JobListEndpoint.Map(app);
ProblemKinds.Map(app);
CorrectionEndpoints.Map(app);
PaperEndpoints.Map(app);
CardEndpoints.Map(app);
SocketEndpoints.Map(app);
MachineEndpoints.Map(app);
ScheduleEndpoint.Map(app);
HeatEndpoints.Map(app);
ProofEndpoints.Map(app);
PhotoEndpoints.Map(app);
RecordEndpoints.Map(app);
BenchEndpoints.Map(app);
DayEndpoints.Map(app);
SignerEndpoints.Map(app);
SetupEndpoint.Map(app);
BackupEndpoints.Map(app);
PastEndpoints.Map(app);
DeviceEndpoints.Map(app);
DrawerEndpoints.Map(app);
DrawerTableEndpoints.Map(app);
SpringEndpoint.Map(app);
FlatPhotoEndpoint.Map(app);
DrawerUseEndpoints.Map(app);
LabelEndpoints.Map(app);
QuestionEndpoints.Map(app);
ClientFiles.Map(app, builder.Configuration["client"], builder.Configuration["demo"] is { Length: > 0 });
if (builder.Configuration.GetValue("first-look", true))
    app.Services.GetRequiredService<Warmup>().Take();
app.Run();
return 0;

/// <summary>Lets tests start the server in their own process.</summary>
public partial class Program;
