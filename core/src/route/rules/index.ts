import type { Rule } from '../rule.ts';
import { bathSize as stripBathSize } from './strip/bathSize.ts';
import { blastAssembled as stripBlastAssembled } from './strip/blastAssembled.ts';
import { blastFirst as stripBlastFirst } from './strip/blastFirst.ts';
import { blastMachined as stripBlastMachined } from './strip/blastMachined.ts';
import { cadmium as stripCadmium } from './strip/cadmium.ts';
import { causticSeams as stripCausticSeams } from './strip/causticSeams.ts';
import { clad as stripClad } from './strip/clad.ts';
import { discEdges as stripDiscEdges } from './strip/discEdges.ts';
import { facility as stripFacility } from './strip/facility.ts';
import { fuelTank as stripFuelTank } from './strip/fuelTank.ts';
import { hardTools as stripHardTools } from './strip/hardTools.ts';
import { heatGunLead as stripHeatGunLead } from './strip/heatGunLead.ts';
import { heatThin as stripHeatThin } from './strip/heatThin.ts';
import { hydrogen as stripHydrogen } from './strip/hydrogen.ts';
import { keepEtch as stripKeepEtch } from './strip/keepEtch.ts';
import { keepSchool as stripKeepSchool } from './strip/keepSchool.ts';
import { keepShow as stripKeepShow } from './strip/keepShow.ts';
import { keepUnsound as stripKeepUnsound } from './strip/keepUnsound.ts';
import { lagging as stripLagging } from './strip/lagging.ts';
import { legacyDust as stripLegacyDust } from './strip/legacyDust.ts';
import { legacyTest as stripLegacyTest } from './strip/legacyTest.ts';
import { metals as stripMetals } from './strip/metals.ts';
import { sealsBath as stripSealsBath } from './strip/sealsBath.ts';
import { solventSeams as stripSolventSeams } from './strip/solventSeams.ts';
import { springs as stripSprings } from './strip/springs.ts';
import { stripSchool as stripStripSchool } from './strip/stripSchool.ts';
import { tar as stripTar } from './strip/tar.ts';
import { thin as stripThin } from './strip/thin.ts';
import { wheelSchool as stripWheelSchool } from './strip/wheelSchool.ts';
import { whiteMetalMask as stripWhiteMetalMask } from './strip/whiteMetalMask.ts';
import { whiteMetalOut as stripWhiteMetalOut } from './strip/whiteMetalOut.ts';
import { asbestosTest as prepAsbestosTest } from './prep/asbestosTest.ts';
import { bareFirst as prepBareFirst } from './prep/bareFirst.ts';
import { conversionFirst as prepConversionFirst } from './prep/conversionFirst.ts';
import { degreaseFirst as prepDegreaseFirst } from './prep/degreaseFirst.ts';
import { flashRust as prepFlashRust } from './prep/flashRust.ts';
import { glueFirst as prepGlueFirst } from './prep/glueFirst.ts';
import { inspectBare as prepInspectBare } from './prep/inspectBare.ts';
import { openings as prepOpenings } from './prep/openings.ts';
import { recordFirst as prepRecordFirst } from './prep/recordFirst.ts';
import { saltTest as prepSaltTest } from './prep/saltTest.ts';
import { testFit as prepTestFit } from './prep/testFit.ts';
import { warmOut as prepWarmOut } from './prep/warmOut.ts';
import { zincSalts as prepZincSalts } from './prep/zincSalts.ts';
import { burnished as surfaceBurnished } from './surface/burnished.ts';
import { clean as surfaceClean } from './surface/clean.ts';
import { first as surfaceFirst } from './surface/first.ts';
import { key as surfaceKey } from './surface/key.ts';
import { profile as surfaceProfile } from './surface/profile.ts';
import { stands as surfaceStands } from './surface/stands.ts';
import { aluminiumWarn as metalAluminiumWarn } from './metal/aluminiumWarn.ts';
import { castingSchool as metalCastingSchool } from './metal/castingSchool.ts';
import { diecastTrial as metalDiecastTrial } from './metal/diecastTrial.ts';
import { direct as metalDirect } from './metal/direct.ts';
import { listed as metalListed } from './metal/listed.ts';
import { magnesium as metalMagnesium } from './metal/magnesium.ts';
import { alone as etchAlone } from './etch/alone.ts';
import { dieCast as etchDieCast } from './etch/dieCast.ts';
import { fillerOn as etchFillerOn } from './etch/fillerOn.ts';
import { follower as etchFollower } from './etch/follower.ts';
import { overConversion as etchOverConversion } from './etch/overConversion.ts';
import { onCoat as etchOnCoat } from './etch/onCoat.ts';
import { overFiller as etchOverFiller } from './etch/overFiller.ts';
import { school as etchSchool } from './etch/school.ts';
import { totalFilm as etchTotalFilm } from './etch/totalFilm.ts';
import { wetOnWetListed as etchWetOnWetListed } from './etch/wetOnWetListed.ts';
import { alkydOver as zincAlkydOver } from './zinc/alkydOver.ts';
import { exposed as zincExposed } from './zinc/exposed.ts';
import { gun as zincGun } from './zinc/gun.ts';
import { mist as zincMist } from './zinc/mist.ts';
import { notTheSame as zincNotTheSame } from './zinc/notTheSame.ts';
import { oldPaint as zincOldPaint } from './zinc/oldPaint.ts';
import { phosphate as zincPhosphate } from './zinc/phosphate.ts';
import { steelOnly as zincSteelOnly } from './zinc/steelOnly.ts';
import { baseClear as overBaseClear } from './over/baseClear.ts';
import { bitumen as overBitumen } from './over/bitumen.ts';
import { clearAlone as overClearAlone } from './over/clearAlone.ts';
import { fillerPlace as overFillerPlace } from './over/fillerPlace.ts';
import { metallic as overMetallic } from './over/metallic.ts';
import { nobleMetal as overNobleMetal } from './over/nobleMetal.ts';
import { oldOnePack as overOldOnePack } from './over/oldOnePack.ts';
import { sheetForbids as overSheetForbids } from './over/sheetForbids.ts';
import { strongSolvent as overStrongSolvent } from './over/strongSolvent.ts';
import { twoOverOne as overTwoOverOne } from './over/twoOverOne.ts';
import { bake as heatBake } from './heat/bake.ts';
import { limit as heatLimit } from './heat/limit.ts';
import { onlyHot as heatOnlyHot } from './heat/onlyHot.ts';
import { primer as heatPrimer } from './heat/primer.ts';
import { bare as fitBare } from './fit/bare.ts';
import { boltFaces as fitBoltFaces } from './fit/boltFaces.ts';
import { clearance as fitClearance } from './fit/clearance.ts';
import { unmask as fitUnmask } from './fit/unmask.ts';
import { brushShow as finishBrushShow } from './finish/brushShow.ts';
import { chips as finishChips } from './finish/chips.ts';
import { fuel as finishFuel } from './finish/fuel.ts';
import { holdPrimer as finishHoldPrimer } from './finish/holdPrimer.ts';
import { holdSchool as finishHoldSchool } from './finish/holdSchool.ts';
import { levelPits as finishLevelPits } from './finish/levelPits.ts';
import { oneBatch as finishOneBatch } from './finish/oneBatch.ts';
import { pairAlike as finishPairAlike } from './finish/pairAlike.ts';
import { pressureFiller as finishPressureFiller } from './finish/pressureFiller.ts';
import { showLook as finishShowLook } from './finish/showLook.ts';
import { standsAlone as finishStandsAlone } from './finish/standsAlone.ts';
import { sun as finishSun } from './finish/sun.ts';
import { tooMuch as finishTooMuch } from './finish/tooMuch.ts';
import { unseen as finishUnseen } from './finish/unseen.ts';
import { weathers as finishWeathers } from './finish/weathers.ts';
import { boxSection as protectBoxSection } from './protect/boxSection.ts';
import { brightEnd as protectBrightEnd } from './protect/brightEnd.ts';
import { cavityLast as protectCavityLast } from './protect/cavityLast.ts';
import { finsListed as protectFinsListed } from './protect/finsListed.ts';
import { formCap as protectFormCap } from './protect/formCap.ts';
import { galvanic as protectGalvanic } from './protect/galvanic.ts';
import { immersedFilm as protectImmersedFilm } from './protect/immersedFilm.ts';
import { immersion as protectImmersion } from './protect/immersion.ts';
import { lining as protectLining } from './protect/lining.ts';
import { minFilm as protectMinFilm } from './protect/minFilm.ts';
import { mostFilm as protectMostFilm } from './protect/mostFilm.ts';
import { oilSpace as protectOilSpace } from './protect/oilSpace.ts';
import { pressureInside as protectPressureInside } from './protect/pressureInside.ts';
import { referFluid as protectReferFluid } from './protect/referFluid.ts';
import { stripe as protectStripe } from './protect/stripe.ts';
import { thinPrimer as protectThinPrimer } from './protect/thinPrimer.ts';
import { waterTraps as protectWaterTraps } from './protect/waterTraps.ts';
import { wearFace as protectWearFace } from './protect/wearFace.ts';
import { answerHere as workAnswerHere } from './work/answerHere.ts';
import { assemblySchool as workAssemblySchool } from './work/assemblySchool.ts';
import { controlSurface as workControlSurface } from './work/controlSurface.ts';
import { cureBeforeUse as workCureBeforeUse } from './work/cureBeforeUse.ts';
import { gateFailed as workGateFailed } from './work/gateFailed.ts';
import { gatePlace as workGatePlace } from './work/gatePlace.ts';
import { isocyanate as workIsocyanate } from './work/isocyanate.ts';
import { legacyProduct as workLegacyProduct } from './work/legacyProduct.ts';
import { putAway as workPutAway } from './work/putAway.ts';
import { noCoats as workNoCoats } from './work/noCoats.ts';
import { powder as workPowder } from './work/powder.ts';
import { sandCured as workSandCured } from './work/sandCured.ts';
import { tool as workTool } from './work/tool.ts';
import { toolSchool as workToolSchool } from './work/toolSchool.ts';
import { unknownProduct as workUnknownProduct } from './work/unknownProduct.ts';

/** Every rule, in the order reasons are listed. */
export const RULES: readonly Rule[] = [
  stripBathSize,
  stripBlastAssembled,
  stripBlastFirst,
  stripBlastMachined,
  stripCadmium,
  stripCausticSeams,
  stripClad,
  stripDiscEdges,
  stripFacility,
  stripFuelTank,
  stripHardTools,
  stripHeatGunLead,
  stripHeatThin,
  stripHydrogen,
  stripKeepEtch,
  stripKeepSchool,
  stripKeepShow,
  stripKeepUnsound,
  stripLagging,
  stripLegacyDust,
  stripLegacyTest,
  stripMetals,
  stripSealsBath,
  stripSolventSeams,
  stripSprings,
  stripStripSchool,
  stripTar,
  stripThin,
  stripWheelSchool,
  stripWhiteMetalMask,
  stripWhiteMetalOut,
  prepAsbestosTest,
  prepBareFirst,
  prepConversionFirst,
  prepDegreaseFirst,
  prepFlashRust,
  prepGlueFirst,
  prepInspectBare,
  prepOpenings,
  prepRecordFirst,
  prepSaltTest,
  prepTestFit,
  prepWarmOut,
  prepZincSalts,
  surfaceBurnished,
  surfaceClean,
  surfaceFirst,
  surfaceKey,
  surfaceProfile,
  surfaceStands,
  metalAluminiumWarn,
  metalCastingSchool,
  metalDiecastTrial,
  metalDirect,
  metalListed,
  metalMagnesium,
  etchAlone,
  etchDieCast,
  etchFillerOn,
  etchFollower,
  etchOverConversion,
  etchOnCoat,
  etchOverFiller,
  etchSchool,
  etchTotalFilm,
  etchWetOnWetListed,
  zincAlkydOver,
  zincExposed,
  zincGun,
  zincMist,
  zincNotTheSame,
  zincOldPaint,
  zincPhosphate,
  zincSteelOnly,
  overBaseClear,
  overBitumen,
  overClearAlone,
  overFillerPlace,
  overMetallic,
  overNobleMetal,
  overOldOnePack,
  overSheetForbids,
  overStrongSolvent,
  overTwoOverOne,
  heatBake,
  heatLimit,
  heatOnlyHot,
  heatPrimer,
  fitBare,
  fitBoltFaces,
  fitClearance,
  fitUnmask,
  finishBrushShow,
  finishChips,
  finishFuel,
  finishHoldPrimer,
  finishHoldSchool,
  finishLevelPits,
  finishOneBatch,
  finishPairAlike,
  finishPressureFiller,
  finishShowLook,
  finishStandsAlone,
  finishSun,
  finishTooMuch,
  finishUnseen,
  finishWeathers,
  protectBoxSection,
  protectBrightEnd,
  protectCavityLast,
  protectFinsListed,
  protectFormCap,
  protectGalvanic,
  protectImmersedFilm,
  protectImmersion,
  protectLining,
  protectMinFilm,
  protectMostFilm,
  protectOilSpace,
  protectPressureInside,
  protectReferFluid,
  protectStripe,
  protectThinPrimer,
  protectWaterTraps,
  protectWearFace,
  workAnswerHere,
  workAssemblySchool,
  workControlSurface,
  workCureBeforeUse,
  workGateFailed,
  workGatePlace,
  workIsocyanate,
  workLegacyProduct,
  workPutAway,
  workNoCoats,
  workPowder,
  workSandCured,
  workTool,
  workToolSchool,
  workUnknownProduct,
];
