/// <reference lib="webworker" />
import { answersBeside } from '../../../common/beside-page'
import { triedBends } from './tried-bends'

answersBeside(triedBends)
