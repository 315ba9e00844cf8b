/// <reference lib="webworker" />
import { answersBeside } from '../../../../common/beside-page'
import { standingOf } from './stood'

answersBeside(standingOf)
